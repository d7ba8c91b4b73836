/** Where the backups of a database are, and with what they are made. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import type { Tools } from '@/db/backup/backup';
import type { BackupPlace } from '@/db/backup/daily';
import { serverPrograms } from './cluster';
import { databaseName } from './databases';
import { HOUSE, ROOT } from './house';

const packageSchema = z.object({ version: z.string() });

export function tools(): Tools {
  const text = readFileSync(join(ROOT, 'package.json'), 'utf8');
  return {
    programs: serverPrograms(),
    application: packageSchema.parse(JSON.parse(text)).version,
  };
}

/** One folder a database, so that a demo is never taken for the workshop. */
export const backupPlace = (address: string): BackupPlace => ({
  address,
  folder: join(HOUSE, 'backups', databaseName(address).replaceAll(/[^\w-]/g, '_')),
  tools: tools(),
});
