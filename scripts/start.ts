import { openHouse } from './open';

await openHouse('orthotens', async () => undefined);
