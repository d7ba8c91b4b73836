import { stopCluster } from './cluster';
import { stopServer } from './server';

console.log((await stopServer()) ? 'The server is stopped.' : 'No server was running.');
console.log(stopCluster() ? 'The database is stopped.' : 'No database was running.');
