import { openHouse } from './open';
import { stayWith } from './server';

await openHouse('workshop', async () => undefined);
// For a supervisor of the system's, which starts again what ends.
if (process.argv.includes('--stay')) await stayWith('workshop');
