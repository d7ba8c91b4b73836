/** Writes the published schema of the open formats from the code that reads them. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { frameJsonSchema } from '@/formats/frame-document';
import { ROOT } from './house';

writeFileSync(
  join(ROOT, 'docs/formats/frame.schema.json'),
  `${JSON.stringify(frameJsonSchema(), null, 2)}\n`,
);
