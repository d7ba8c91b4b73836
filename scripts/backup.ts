/**
 * `npm run backup` makes and proves a backup; `-- FILE` puts it there, `-- --verify FILE` proves one
 * that is there, `-- --also FOLDER` names a second folder for the daily ones (`none` forgets it).
 */
import { access, constants, realpath } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { makeBackup, proveBackup, refusalOf, type Manifest } from '@/db/backup/backup';
import { backUpNow, keepState, nameSecond } from '@/db/backup/daily';
import { backupPlace, tools } from './backups';
import { workDatabase } from './databases';
import { fail } from './house';

const WORDS =
  'Write npm run backup, or with a file: npm run backup -- FILE, -- --verify FILE, -- --also FOLDER.';

const heldIn = ({ tables, made }: Manifest): string =>
  `${tables.reduce((sum, { rows }) => sum + rows, 0)} rows in ${tables.length} tables, as of ${made}`;

async function orSentence<T>(work: Promise<T>): Promise<T> {
  return work.catch((error: unknown) =>
    fail(refusalOf(error) ?? (error instanceof Error ? error.message : String(error))),
  );
}

const [first, second, ...more] = process.argv.slice(2);
if (more.length > 0) fail(WORDS);

const address = await workDatabase('workshop');
const place = backupPlace(address);

if (first === '--verify') {
  if (second === undefined) fail(WORDS);
  const manifest = await orSentence(proveBackup(resolve(second), address, tools()));
  console.log(`${second} is whole, and equal when it is brought back: ${heldIn(manifest)}.`);
} else if (first === '--also') {
  if (second === undefined) fail(WORDS);
  if (second === 'none') await keepState(place.folder, { second: null, secondFailure: null });
  else {
    const folder = await realpath(second).catch(() =>
      fail(
        `There is no folder ${second}. Make it, or mount the disk that it is on, and name it again.`,
      ),
    );
    await access(folder, constants.W_OK).catch(() => fail(`${folder} cannot be written to.`));
    await nameSecond(place.folder, folder);
    const { failure, secondFailure, proven } = await backUpNow(place);
    if (failure !== null) fail(failure);
    if (secondFailure !== null) fail(`The copy to ${folder} failed: ${secondFailure}.`);
    console.log(`${proven?.file ?? ''} is proven and in ${folder} too; so will those to come.`);
  }
} else if (first === undefined) {
  const { failure, proven } = await backUpNow(place);
  if (failure !== null) fail(failure);
  console.log(`Backed up and proven: ${join(place.folder, proven?.file ?? '')}`);
} else {
  if (first.startsWith('-') || second !== undefined) fail(WORDS);
  const file = resolve(first);
  const manifest = await orSentence(makeBackup(address, file, tools()));
  await orSentence(proveBackup(file, address, tools()));
  console.log(`Backed up and proven: ${file}: ${heldIn(manifest)}.`);
}
