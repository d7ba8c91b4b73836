import { fillWithDemo } from '@/db/demo/fill';
import { openHouse } from './open';
import { DESK_PAGE, ensureStandIns } from './stand-in';

await openHouse('demo', fillWithDemo);
await ensureStandIns();
console.log(`What it mails and prints is shown at ${DESK_PAGE}`);
