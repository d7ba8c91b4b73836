/** Writes what is published of the code from the code: the schema of the frame document, the tables of rules and of the policy. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { balanceJsonSchema } from '@/formats/balance-document';
import { bedJsonSchema } from '@/formats/bed-document';
import { frameJsonSchema } from '@/formats/frame-document';
import { jobJsonSchema } from '@/formats/job-document';
import { queueJsonSchema } from '@/formats/queue-document';
import { shelfJsonSchema } from '@/formats/shelf-document';
import { format } from 'prettier';
import { ROOT } from './house';
import { withRights } from './rights-table';
import { withRules } from './rules-table';

for (const [name, schema] of [
  ['frame', frameJsonSchema()],
  ['job', jobJsonSchema()],
  ['queue', queueJsonSchema()],
  ['shelf', shelfJsonSchema()],
  ['balance', balanceJsonSchema()],
  ['bed', bedJsonSchema()],
] as const)
  writeFileSync(
    join(ROOT, `docs/formats/${name}.schema.json`),
    await format(JSON.stringify(schema), { parser: 'json', printWidth: 100 }),
  );

for (const [name, written] of [
  ['method.md', withRules],
  ['security.md', withRights],
] as const) {
  const page = join(ROOT, 'docs', name);
  writeFileSync(page, await format(written(readFileSync(page, 'utf8')), { parser: 'markdown' }));
}
