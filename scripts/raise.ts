/** Brings the database of this house up, where nobody serves it; for whoever keeps a server (`keep.ts`). */
import { clusterAddress } from './cluster';

await clusterAddress();
