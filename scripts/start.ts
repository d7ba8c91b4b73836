import { openHouse } from './open';

await openHouse('workshop', async () => undefined);
