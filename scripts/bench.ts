/** `npm run bench` measures speed; `npm run bench -- trial` tries the whole of what the tests try in small, `-- scale` times a house of 100,000 jobs, `-- import` brings 100,000 rows in, `-- day` compares the plan of a day with none, `-- load` a condensed hoop with a whole one, `-- schools` ways to string over the library, `-- reading` reads drawn beds. */
import { exit } from 'node:process';

if (process.argv[2] === 'trial') {
  // For the sweeps here as for those of the tests (`core/testing/share.ts`), which is read when it is loaded.
  process.env.ORTHOTENS_SWEEPS = 'whole';
  const { tryFrames, tryLedger, tryServer, trySweeps } = await import('./trial');
  const framesHold = tryFrames(1500);
  const ledgerHolds = tryLedger(2000);
  const sweepsHold = trySweeps();
  exit((await tryServer(3200, 2000, 40)) && ledgerHolds && framesHold && sweepsHold ? 0 : 1);
} else if (process.argv[2] === 'scale') await import('./timings/scale');
else if (process.argv[2] === 'import') await import('./timings/import');
else if (process.argv[2] === 'day') await import('./timings/day');
else if (process.argv[2] === 'load') await import('./timings/load');
else if (process.argv[2] === 'reading') await import('./timings/reading');
else if (process.argv[2] === 'schools') await import('./timings/schools');
else await import('./timings/speed');
