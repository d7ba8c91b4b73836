import { afterEach, describe, expect, it } from 'vitest';
import { WebSocket } from 'ws';
import { readFromHead, type FromHead } from '@/formats/head-lines';
import { openHead, type OpenHead } from './head-server';

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

  it('loses its link when that is rehearsed', async () => {
    const heard = await hear(['set 40', 'rehearse lost link', 'pull'], said('hold'));
    expect(heard.map(({ say }) => say)).toEqual(['ready']);
  });
});
