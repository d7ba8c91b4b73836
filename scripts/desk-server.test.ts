import { connect, createServer, type AddressInfo } from 'node:net';
import { createTransport } from 'nodemailer';
import { afterEach, expect, it } from 'vitest';
import { deliver } from '@/app/mail-server';
import { DESK_GREETING, openDesk, wordsOf, type OpenDesk } from './desk-server';

let desk: OpenDesk | undefined;
afterEach(async () => {
  await desk?.close();
  desk = undefined;
});
const opened = async () => (desk = await openDesk({ page: 0, printer: 0, mail: 0 }));

const printed = (port: number, data: Buffer): Promise<string> =>
  new Promise((resolve) => {
    const socket = connect({ host: '127.0.0.1', port });
    let answer = '';
    socket.on('data', (part) => {
      answer += String(part);
    });
    socket.on('close', () => resolve(answer.trim()));
    socket.end(data);
  });

it('the label printer takes a PDF and refuses anything else', async () => {
  const { ports, printed: kept } = await opened();
  expect(await printed(ports.printer, Buffer.from('%PDF-1.7 …'))).toBe('printed');
  expect(await printed(ports.printer, Buffer.from('hello'))).toBe('refused: no PDF');
  expect(kept).toHaveLength(1);
  const page = await (await fetch(`http://127.0.0.1:${ports.page}/`)).text();
  expect(page).toContain('/label/0');
  expect(await (await fetch(`http://127.0.0.1:${ports.page}/health`)).text()).toBe(DESK_GREETING);
});

it('the mail server takes what is sent and shows it, whatever its letters', async () => {
  const { ports, received } = await opened();
  const transport = createTransport({ host: '127.0.0.1', port: ports.mail, secure: false });
  await transport.sendMail({
    from: 'shop@court.example',
    to: 'ada@court.example',
    subject: 'Ihr Schläger – bespannt',
    text: 'Dear Łukasz,\n\n<it> is ready = done.\n',
  });
  expect(received[0]?.to).toEqual(['ada@court.example']);
  const { subject, text } = wordsOf(received[0]?.source ?? '');
  expect(subject).toBe('Ihr Schläger – bespannt');
  expect(text).toContain('Dear Łukasz,');
  const page = await (await fetch(`http://127.0.0.1:${ports.page}/`)).text();
  expect(page).toContain('&#60;it&#62; is ready');
});

it('the mail server can be told to refuse', async () => {
  const { ports, setManner } = await opened();
  setManner('refuses');
  const transport = createTransport({ host: '127.0.0.1', port: ports.mail, secure: false });
  await expect(
    transport.sendMail({ from: 'a@b.example', to: 'c@d.example', text: 'x' }),
  ).rejects.toThrow('Not just now.');
});

const letter = {
  id: '0192f3a0-0000-7000-8000-000000000001',
  toAddress: 'ada@court.example',
  subject: 'Ready',
  text: 'It is ready.',
};

it('a mail server that hangs is given up, and has the message once when it comes back', async () => {
  const { ports, setManner, received } = await opened();
  const server = { server: `smtp://127.0.0.1:${ports.mail}`, from: 'shop@court.example' };
  setManner('hangs');
  await expect(deliver(letter, 'Shop', { ...server, patienceMs: 150 })).rejects.toThrow(/time/i);
  expect(received).toHaveLength(0);
  setManner('takes');
  await deliver(letter, 'Shop', server);
  expect(received).toHaveLength(1);
  expect(received[0]?.source).toContain(`<${letter.id}@orthotens>`);
});

it('one that greets for ever, and one that is not there, are given up as well', async () => {
  const drip = createServer((socket) => {
    const more = setInterval(() => socket.write('220-just a moment\r\n'), 20);
    socket.on('close', () => clearInterval(more));
    socket.on('error', () => socket.destroy());
  });
  await new Promise<void>((resolve) => drip.listen(0, '127.0.0.1', resolve));
  const at = (port: number) => ({
    server: `smtp://127.0.0.1:${port}`,
    from: 'shop@court.example',
    patienceMs: 150,
  });
  const { port } = drip.address() as AddressInfo;
  await expect(deliver(letter, 'Shop', at(port))).rejects.toThrow();
  await new Promise((resolve) => drip.close(resolve));
  await expect(deliver(letter, 'Shop', at(port))).rejects.toThrow('ECONNREFUSED');
});
