import { connect } from 'node:net';
import { createTransport } from 'nodemailer';
import { afterEach, expect, it } from 'vitest';
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
