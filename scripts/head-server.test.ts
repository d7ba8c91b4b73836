import type { Socket } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { WebSocket } from 'ws';
import { readFromHead, type FromHead } from '@/formats/head-lines';
import { HEAD_GREETING, openHead, type OpenHead } from './head-server';

let head: OpenHead;
afterEach(() => head.close());

/** Says lines to a new head and hears it until `enough`, or until the link is lost. */
async function hear(
  lines: readonly string[],
  enough: (heard: readonly FromHead[]) => boolean,
): Promise<readonly FromHead[]> {
  head = await openHead(0, 'constant pull');
  const socket = new WebSocket(`ws://127.0.0.1:${head.port}`);
  const heard: FromHead[] = [];
  await new Promise<void>((resolve, reject) => {
    socket.on('open', () => lines.forEach((line) => socket.send(line)));
    socket.on('message', (data) => {
      const read = readFromHead(String(data));
      if (!read.ok) return reject(new Error(read.problem));
      heard.push(read.value);
      if (enough(heard)) resolve();
    });
    socket.on('close', () => resolve());
    socket.on('error', reject);
  });
  socket.terminate();
  return heard;
}

const said = (kind: FromHead['say']) => (heard: readonly FromHead[]) =>
  heard.some(({ say }) => say === kind);

describe('the stand-in head', () => {
  it('says what it is, takes a figure, pulls to it and lets go', async () => {
    const heard = await hear(['identify', 'set 60', 'string monofilament', 'pull'], said('hold'));
    expect(heard[0]).toEqual({
      say: 'head',
      name: 'stand-in',
      pull: 'constant pull',
      leastN: 20,
      mostN: 450,
    });
    expect(heard[1]).toEqual({ say: 'ready', n: 60 });
    const readings = heard.flatMap((line) => (line.say === 'reading' ? [line.n] : []));
    expect(readings.length).toBeGreaterThan(3);
    expect(readings.at(-1)).toBeGreaterThan(58);
    expect(readings.at(-1)).toBeLessThan(62);
  });

  it('refuses a pull without a figure, a figure it cannot pull, and nonsense', async () => {
    const heard = await hear(['pull', 'set 900', 'push'], (all) => all.length === 3);
    expect(heard.map(({ say }) => say)).toEqual(['refused', 'refused', 'refused']);
  });

  it('slips when that is rehearsed, and pulls well again after it', async () => {
    const heard = await hear(['set 40', 'rehearse slip', 'pull'], said('fault'));
    expect(heard.at(-1)).toMatchObject({ say: 'fault', fault: 'slip' });
    await head.close();
    expect(await hear(['set 40', 'pull', 'release'], said('released'))).toBeTruthy();
  });

  it('survives any line and any frame', async () => {
    head = await openHead(0, 'constant pull');
    const { port } = head;
    const throwAt = (send: (socket: WebSocket) => void) =>
      new Promise<void>((resolve) => {
        const socket = new WebSocket(`ws://127.0.0.1:${port}`);
        socket.on('error', () => undefined);
        socket.on('open', () => {
          send(socket);
          setTimeout(() => socket.terminate(), 60);
        });
        socket.on('close', () => resolve());
      });
    const odd = ['\0', 'set 1e999', 'set -1', 'pull\npull', '🎾'.repeat(200), 'x'.repeat(5000), ''];
    await Promise.all([
      ...odd.map((line) => throwAt((socket) => socket.send(line))),
      throwAt((socket) => socket.send(Buffer.from([0, 255, 128]))),
      throwAt((socket) => socket.ping('x'.repeat(100))),
      // Not a frame at all: a reserved opcode, a frame that says it is longer than it is, torn UTF-8.
      ...[
        [0x83, 0x80, 0, 0, 0, 0],
        [0x81, 0xff, 255, 255, 255, 255, 255, 255, 255, 255],
        [0x81, 0x82, 0, 0, 0, 0, 0xc3, 0x28],
      ].map((bytes) =>
        throwAt((socket) => {
          (socket as unknown as { _socket: Socket })._socket.write(Buffer.from(bytes));
        }),
      ),
    ]);
    const answer = await fetch(`http://127.0.0.1:${port}`);
    expect(await answer.text()).toBe(HEAD_GREETING);
  });

  it('loses its link when that is rehearsed', async () => {
    const heard = await hear(['set 40', 'rehearse lost link', 'pull'], said('hold'));
    expect(heard.map(({ say }) => say)).toEqual(['ready']);
  });
});
