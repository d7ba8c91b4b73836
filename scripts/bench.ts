/** `npm run bench` measures speed; `npm run bench -- trial` tries the whole of what the tests try in small, `-- scale` times a house of 100,000 jobs, `-- import` brings 100,000 rows in, `-- day` compares the plan of a day with none, `-- load` a condensed hoop with a whole one, `-- schools` ways to string over the library, `-- reading` reads drawn beds. */
import { exit } from 'node:process';

if (process.argv[2] === 'trial') {
  const { tryFrames, tryLedger, tryServer } = await import('./trial');
  const framesHold = tryFrames(1500);
  const ledgerHolds = tryLedger(2000);
  exit((await tryServer(3200, 40)) && ledgerHolds && framesHold ? 0 : 1);
} else if (process.argv[2] === 'scale') await import('./scale');
else if (process.argv[2] === 'import') await import('./import-bench');
else if (process.argv[2] === 'day') await import('./day-bench');
else if (process.argv[2] === 'load') await import('./load-bench');
else if (process.argv[2] === 'reading') await import('./reading-bench');
else if (process.argv[2] === 'schools') await import('./schools-bench');
else await import('./speed');
