import { stopCluster } from './cluster';
import { stopServer } from './server';
import { stopStandIns } from './stand-in';

const servers = [await stopServer('workshop'), await stopServer('demo')];
console.log(servers.some(Boolean) ? 'The server is stopped.' : 'No server was running.');
console.log(stopCluster() ? 'The database is stopped.' : 'No database was running.');
if (await stopStandIns()) console.log('The stand-ins are stopped.');
