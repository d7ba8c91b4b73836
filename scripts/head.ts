/** The stand-in head as a process of its own: `npm run head -- 3411 lock-out`. */
import { pullKindSchema } from '@/core/house/machine';
import { openHead } from './head-server';
import { fail } from './house';

const [port = '3411', ...kind] = process.argv.slice(2);
const pull = pullKindSchema.safeParse(kind.join(' ') || 'constant pull');
if (!/^\d{1,5}$/.test(port) || !pull.success)
  fail('Write a port and how it pulls: 3411 constant pull, or 3411 lock-out.');
else {
  const head = await openHead(Number(port), pull.data);
  console.log(`A tension head answers at ws://127.0.0.1:${head.port}`);
}
