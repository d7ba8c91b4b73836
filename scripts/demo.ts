import { fillWithDemo } from '@/db/demo/fill';
import { openHouse } from './open';
import { ensureHead } from './stand-in';

await openHouse('orthotens_demo', fillWithDemo);
await ensureHead();
