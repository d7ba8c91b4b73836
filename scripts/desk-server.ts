/**
 * The stand-ins at the desk: a label printer that takes a PDF on a connection (docs/formats/label-printer.md) and a
 * mail server that takes what is sent (RFC 5321). Both keep what came in memory, and show it on a page.
 */
import { createServer as createHttp, type IncomingMessage, type ServerResponse } from 'node:http';
import { createServer as createTcp, type AddressInfo, type Server } from 'node:net';
import { SMTPServer } from 'smtp-server';

/** Answers a request of its own, so that a start command sees that it is up. */
export const DESK_GREETING = 'orthotens desk';

export interface DeskPorts {
  readonly page: number;
  readonly printer: number;
  readonly mail: number;
}

/** How the mail server behaves, for trying what happens when it does not. */
export type MailManner = 'takes' | 'refuses' | 'hangs';

interface Printed {
  readonly at: Date;
  readonly pdf: Buffer;
}

interface Received {
  readonly at: Date;
  readonly to: readonly string[];
  /** As it came: RFC 5322. */
  readonly source: string;
}

/** What is kept of each; the oldest goes first. */
const MOST_KEPT = 100;
const MOST_BYTES = 2_000_000;

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** The words of a message, out of the encodings that it came in. */
export function wordsOf(source: string): { readonly subject: string; readonly text: string } {
  const [head = '', ...rest] = source.split(/\r?\n\r?\n/);
  const unfolded = head.replace(/\r?\n[ \t]+/g, ' ');
  const field = (name: string) =>
    new RegExp(`^${name}: (.*)$`, 'im').exec(unfolded)?.[1]?.trim() ?? '';
  const subject = field('Subject').replace(
    /=\?utf-8\?([BQ])\?(.*?)\?=\s*/gi,
    (_, kind: string, text: string) =>
      kind.toUpperCase() === 'B'
        ? Buffer.from(text, 'base64').toString('utf8')
        : quotedPrintable(text.replaceAll('_', ' ')),
  );
  const body = rest.join('\n\n');
  const encoding = field('Content-Transfer-Encoding').toLowerCase();
  return {
    subject,
    text:
      encoding === 'base64'
        ? Buffer.from(body, 'base64').toString('utf8')
        : encoding === 'quoted-printable'
          ? quotedPrintable(body.replace(/=\r?\n/g, ''))
          : body,
  };
}

const quotedPrintable = (text: string): string =>
  Buffer.from(
    text.replace(/=([0-9A-F]{2})/gi, (_, hex: string) =>
      String.fromCharCode(Number.parseInt(hex, 16)),
    ),
    'latin1',
  ).toString('utf8');

function pageOf(printed: readonly Printed[], received: readonly Received[]): string {
  const mails = received.toReversed().map(({ at, to, source }) => {
    const { subject, text } = wordsOf(source);
    return `<article><h3>${escaped(subject)}</h3><p>To ${escaped(to.join(', '))}, ${at.toISOString()}</p><pre>${escaped(text)}</pre></article>`;
  });
  const labels = printed
    .map(({ at }, i) => `<p><a href="/label/${i}">Label of ${at.toISOString()}</a></p>`)
    .toReversed();
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>At the desk</title><style>body{font:16px sans-serif;max-width:70ch;margin:2rem auto}pre{white-space:pre-wrap;border-top:1px solid #ccc;padding-top:.5rem}</style><h1>At the desk</h1><h2>Mail that was sent</h2>${mails.join('') || '<p>None.</p>'}<h2>Labels that were printed</h2>${labels.join('') || '<p>None.</p>'}`;
}

export interface OpenDesk {
  readonly ports: DeskPorts;
  /** From here on the mail server behaves so. */
  readonly setManner: (manner: MailManner) => void;
  readonly printed: readonly Printed[];
  readonly received: readonly Received[];
  readonly close: () => Promise<void>;
}

const portOf = (server: Server): number => (server.address() as AddressInfo).port;

const listening = (server: Server, port: number): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });

/** Opens the stand-ins on loopback; port 0 takes any that is free. */
export async function openDesk(wanted: DeskPorts): Promise<OpenDesk> {
  const printed: Printed[] = [];
  const received: Received[] = [];
  let manner: MailManner = 'takes';
  const keep = <T>(list: T[], one: T) => {
    list.push(one);
    if (list.length > MOST_KEPT) list.shift();
  };

  const printer = createTcp({ allowHalfOpen: true }, (socket) => {
    const parts: Buffer[] = [];
    let bytes = 0;
    socket.on('error', () => socket.destroy());
    socket.on('data', (part) => {
      bytes += part.length;
      if (bytes <= MOST_BYTES) parts.push(part);
    });
    socket.on('end', () => {
      const pdf = Buffer.concat(parts);
      if (bytes > MOST_BYTES) socket.end('refused: too long for a label\n');
      else if (!pdf.subarray(0, 5).equals(Buffer.from('%PDF-'))) socket.end('refused: no PDF\n');
      else {
        keep(printed, { at: new Date(), pdf });
        socket.end('printed\n');
      }
    });
  });

  const mail = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    size: MOST_BYTES,
    onMailFrom: (_, __, done) => {
      if (manner === 'hangs') return;
      done(manner === 'refuses' ? new Error('Not just now.') : null);
    },
    onData: (stream, session, done) => {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        keep(received, {
          at: new Date(),
          to: session.envelope.rcptTo.map(({ address }) => address),
          source: Buffer.concat(parts).toString('utf8'),
        });
        done();
      });
    },
  });
  mail.on('error', () => undefined);

  const answer = (request: IncomingMessage, response: ServerResponse) => {
    const path = request.url ?? '/';
    if (path === '/health') return response.end(DESK_GREETING);
    if (path === '/mail.json') {
      response.setHeader('Content-Type', 'application/json');
      return response.end(
        JSON.stringify(received.map(({ to, source }) => ({ to, ...wordsOf(source) }))),
      );
    }
    const asked = /^\/manner\/(takes|refuses|hangs)$/.exec(path)?.[1];
    if (asked && request.method === 'POST') {
      manner = asked as MailManner;
      return response.end(asked);
    }
    const label = printed[Number(/^\/label\/(\d+)$/.exec(path)?.[1] ?? -1)];
    if (label) {
      response.setHeader('Content-Type', 'application/pdf');
      return response.end(label.pdf);
    }
    response.setHeader('Content-Type', 'text/html; charset=utf-8');
    return response.end(pageOf(printed, received));
  };
  const page = createHttp(answer);

  await Promise.all([
    listening(printer, wanted.printer),
    listening(mail.server, wanted.mail),
    listening(page, wanted.page),
  ]);
  return {
    ports: { page: portOf(page), printer: portOf(printer), mail: portOf(mail.server) },
    setManner: (next) => {
      manner = next;
    },
    printed,
    received,
    close: async () => {
      await Promise.all([
        new Promise((resolve) => printer.close(resolve)),
        new Promise((resolve) => page.close(resolve)),
        new Promise<void>((resolve) => mail.close(resolve)),
      ]);
    },
  };
}
