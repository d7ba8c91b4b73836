/** The stand-in for a tension head: one head with a string in it for each bench that links to it. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { WebSocketServer, type WebSocket } from 'ws';
import type { Family } from '@/core/terms/family';
import { failure } from '@/core/terms/result';
import type { PullKind } from '@/core/house/machine';
import {
  afterPulling,
  AT_REST,
  pullIn,
  type HeadFault,
  type HeadState,
} from '@/core/bench/tension-head';
import { readToHead, writeFromHead, type FromHead, type Rehearsal } from '@/formats/head-lines';

const LEAST_N = 20;
const MOST_N = 450;
const STEP_MS = 50;
/** Bytes; no line of the protocol comes near it. */
const LONGEST_LINE = 1000;
/** What its sensor is out by at most, N. */
const NOISE_N = 0.4;

/** Answers a request of any other kind, so that a start command sees that it is up. */
export const HEAD_GREETING = 'orthotens tension head';

function serve(socket: WebSocket, pull: PullKind): void {
  let setN = 0;
  let family: Family = 'synthetic gut';
  let rehearsal: Rehearsal = 'nothing';
  let fault: HeadFault | undefined;
  let state: HeadState | undefined;
  const say = (line: FromHead) => socket.send(writeFromHead(line), () => undefined);
  const measured = (of: HeadState) => Math.max(0, pullIn(of) + NOISE_N * (2 * Math.random() - 1));

  const timer = setInterval(() => {
    if (!state || state.mode === 'faulty') return;
    const before = state.mode;
    state = afterPulling(state, { pull, family, setN, fault }, STEP_MS / 1000);
    say({ say: 'reading', n: measured(state) });
    if (state.mode === 'holding' && before === 'pulling') say({ say: 'hold', n: measured(state) });
    if (state.mode === 'faulty' && fault) say({ say: 'fault', fault, n: measured(state) });
  }, STEP_MS);

  // A frame that breaks the protocol ends its own link, and the head goes on.
  socket.on('error', () => socket.terminate());
  socket.on('message', (data, isBinary) => {
    const read = isBinary ? failure('head.binary') : readToHead(String(data));
    if (!read.ok) return say({ say: 'refused', why: read.problem });
    const line = read.value;
    switch (line.say) {
      case 'identify':
        return say({ say: 'head', name: 'stand-in', pull, leastN: LEAST_N, mostN: MOST_N });
      case 'string':
        family = line.family;
        return;
      case 'rehearse':
        rehearsal = line.what;
        return;
      case 'set':
        if (line.n < LEAST_N || line.n > MOST_N)
          return say({ say: 'refused', why: `It pulls ${LEAST_N} to ${MOST_N} N.` });
        setN = line.n;
        return say({ say: 'ready', n: setN });
      case 'pull':
        if (setN === 0) return say({ say: 'refused', why: 'It has no figure to pull to.' });
        if (rehearsal === 'lost link') return socket.terminate();
        fault = rehearsal === 'nothing' ? undefined : rehearsal;
        rehearsal = 'nothing';
        state = AT_REST;
        return;
      case 'release':
        state = undefined;
        return say({ say: 'released' });
    }
  });
  socket.on('close', () => clearInterval(timer));
}

export interface OpenHead {
  readonly port: number;
  readonly close: () => Promise<void>;
}

/** Opens the stand-in on loopback; port 0 takes any that is free. */
export async function openHead(wanted: number, pull: PullKind): Promise<OpenHead> {
  const http = createServer((_, response) => response.end(HEAD_GREETING));
  const sockets = new WebSocketServer({ server: http, maxPayload: LONGEST_LINE });
  sockets.on('error', () => undefined);
  sockets.on('connection', (socket) => serve(socket, pull));
  await new Promise<void>((resolve, reject) => {
    http.once('error', reject);
    http.listen(wanted, '127.0.0.1', resolve);
  });
  return {
    port: (http.address() as AddressInfo).port,
    close: async () => {
      for (const socket of sockets.clients) socket.terminate();
      await new Promise((resolve) => http.close(resolve));
    },
  };
}
