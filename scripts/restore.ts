/** `npm run restore -- FILE` brings a backup into an empty house; it never goes over records. */
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { refusalOf, restoreBackup } from '@/db/backup/backup';
import { tools } from './backups';
import { workDatabase } from './databases';
import { alone, fail } from './house';
import { bringUpToDate } from './open';
import { stopServer } from './server';

const [file, ...more] = process.argv.slice(2);
if (file === undefined || more.length > 0 || !existsSync(file))
  fail('Write the file of the backup: npm run restore -- FILE.');

await alone('start', async () => {
  const address = await workDatabase('workshop');
  let stopped = false;
  const { tables, made } = await restoreBackup(resolve(file), address, tools(), async () => {
    stopped = await stopServer('workshop');
  }).catch((error: unknown) => {
    const why = refusalOf(error) ?? (error instanceof Error ? error.message : String(error));
    fail(stopped ? `${why}\nThe workshop was stopped for it: npm start opens it again.` : why);
  });
  await bringUpToDate(address, async () => undefined);
  const rows = tables.reduce((sum, table) => sum + table.rows, 0);
  console.log(
    `${rows} rows in ${tables.length} tables are back as of ${made}, and equal. npm start opens the workshop.`,
  );
});
