/** `npm run bench` measures speed; `npm run bench -- trial` tries the whole of what the tests try in small. */
import { exit } from 'node:process';

if (process.argv[2] === 'trial') {
  const { tryServer } = await import('./trial');
  exit((await tryServer(3200, 40)) ? 0 : 1);
} else await import('./speed');
