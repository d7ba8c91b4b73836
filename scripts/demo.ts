import { fillWithDemo } from '@/db/demo/fill';
import { openHouse } from './open';

await openHouse('orthotens_demo', fillWithDemo);
