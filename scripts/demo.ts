import { fillWithDemo } from '@/db/demo/fill';
import { openHouse } from './open';
import { ensureHead } from './stand-in';

await openHouse('demo', fillWithDemo);
await ensureHead();
