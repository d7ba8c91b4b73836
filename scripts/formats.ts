/** Writes what is published of the code from the code: the schema of the frame document, the table of rules. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { frameJsonSchema } from '@/formats/frame-document';
import { format } from 'prettier';
import { ROOT } from './house';
import { withRules } from './rules-table';

writeFileSync(
  join(ROOT, 'docs/formats/frame.schema.json'),
  `${JSON.stringify(frameJsonSchema(), null, 2)}\n`,
);

const method = join(ROOT, 'docs/method.md');
writeFileSync(
  method,
  await format(withRules(readFileSync(method, 'utf8')), { parser: 'markdown' }),
);
