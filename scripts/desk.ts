/** The stand-ins at the desk as a process of their own: `npm run desk -- 3412` for page, printer and mail. */
import { openDesk } from './desk-server';
import { fail } from './house';

const [first = '3412', ...more] = process.argv.slice(2);
if (!/^\d{4,5}$/.test(first) || more.length > 0)
  fail('Write the first of three ports that follow each other: 3412.');
else {
  const page = Number(first);
  const { ports } = await openDesk({ page, printer: page + 1, mail: page + 2 });
  console.log(
    `The desk is at http://127.0.0.1:${ports.page}: labels on port ${ports.printer}, mail on port ${ports.mail}`,
  );
}
