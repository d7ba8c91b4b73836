/** `npm run bench` measures speed; `npm run bench -- trial` tries the whole of what the tests try in small. */
import { exit } from 'node:process';

if (process.argv[2] === 'trial') {
  const { tryFrames, tryLedger, tryServer } = await import('./trial');
  const framesHold = tryFrames(1500);
  const ledgerHolds = tryLedger(2000);
  exit((await tryServer(3200, 40)) && ledgerHolds && framesHold ? 0 : 1);
} else await import('./speed');
