/** The whole of what the tests try in small: `npm run bench -- trial`. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { USUAL_MACHINE } from '@/core/house/machine';
import { frameTrial } from '@/core/testing/frame-trial';
import { mutationTrial } from '@/core/testing/mutation-trial';
import { fillWithDemo } from '@/db/demo/fill';
import { ensureBuild } from './build';
import { testDatabase } from './databases';
import { fail, freePort, ROOT } from './house';
import { playEvil } from './evil-stringer';
import { beHostile } from './hostile';
import { targetAt } from './hostile-target';
import { killTrial, serve } from './kill-trial';
import { bringUpToDate } from './open';
import { serverEnvironment } from './server';

const BUILD = '.next-test';

/** Sound jobs with one thing made wrong, on three machines: whether the ledger refuses at least 95 in 100. */
export function tryLedger(count: number): boolean {
  const { mutants, refused, passed } = mutationTrial(count, 7, [
    USUAL_MACHINE,
    { ...USUAL_MACHINE, clamps: 1 },
    { ...USUAL_MACHINE, clampKind: 'flying' },
  ]);
  console.log(
    `Jobs with one thing wrong: ${mutants}, refused ${((100 * refused) / mutants).toFixed(1)} %`,
  );
  for (const each of passed.slice(0, 20)) console.log(`  passed: ${each}`);
  return refused >= 0.95 * mutants;
}

/** Frames drawn by chance, the whole way to the bench: whether all that must hold of them does. */
export function tryFrames(count: number): boolean {
  const { frames, paths, broken } = frameTrial(count, 5);
  console.log(`Frames drawn by chance: ${frames}, strung ${paths} ways, broken ${broken.length}`);
  for (const each of broken.slice(0, 20)) console.log(`  ${each}`);
  return broken.length === 0;
}

/** The sweeps of the tests over the library, of which `npm test` tries a share: whether all of each holds. */
export function trySweeps(): boolean {
  const vitest = join(ROOT, 'node_modules', '.bin', 'vitest');
  const { status } = spawnSync(vitest, ['run', '--project=pure', 'core', 'formats'], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  return status === 0;
}

/** A server of the trial's own, over an invented workshop that nobody minds. */
export async function tryServer(
  requests: number,
  evilTries: number,
  rounds: number,
): Promise<boolean> {
  const url = await testDatabase('interface tests');
  const environment = serverEnvironment(url, await bringUpToDate(url, fillWithDemo));
  if (!(await ensureBuild(BUILD)).good) fail('The build failed; the lines above say why.');
  const port = await freePort(3850);
  const origin = `http://127.0.0.1:${port}`;
  const server = await serve(environment, port, BUILD);
  const target = await targetAt(origin, url, BUILD, 'all');
  const evil = await playEvil(target, url, evilTries, 11).catch((error: unknown) => {
    server.kill('SIGKILL');
    throw error;
  });
  console.log(`An evil stringer: ${evil.tries} tries, got ${evil.got.length}`);
  for (const each of evil.got.slice(0, 20)) console.log(`  ${each}`);
  const hostile = await beHostile(target, requests, 3).finally(() => server.kill('SIGKILL'));
  console.log(
    `Hostile requests: ${hostile.requests}, answered ${JSON.stringify(hostile.statuses)}, faults ${hostile.faults.length}`,
  );
  for (const fault of hostile.faults.slice(0, 20)) console.log(`  ${fault}`);
  const killed = await killTrial(target, url, environment, BUILD, rounds);
  console.log(`Kills: ${JSON.stringify(killed)}`);
  return evil.got.length + hostile.faults.length + killed.lost + killed.doubled === 0;
}
