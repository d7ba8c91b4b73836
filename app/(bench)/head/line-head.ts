import { readFromHead, writeToHead, type ToHead } from '@/formats/head-lines';
import type { LinkHead } from './driver';

/** Links to a head that speaks the line protocol over a WebSocket. */
export const linkLineHead: LinkHead = (address, { hear, linked, lost }) => {
  const socket = new WebSocket(address);
  const say = (line: ToHead) => {
    if (socket.readyState === WebSocket.OPEN) socket.send(writeToHead(line));
  };
  socket.onopen = () => {
    linked();
    say({ say: 'identify' });
  };
  socket.onmessage = ({ data }) => {
    const read = readFromHead(String(data));
    if (read.ok) hear(read.value);
  };
  socket.onclose = lost;
  return {
    pull: (n, family) => {
      say({ say: 'set', n });
      say({ say: 'string', family });
      say({ say: 'pull' });
    },
    release: () => say({ say: 'release' }),
    rehearse: (what) => say({ say: 'rehearse', what }),
    close: () => {
      socket.onclose = null;
      socket.close();
    },
  };
};
