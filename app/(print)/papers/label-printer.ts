/**
 * A label printer on the net: it takes a PDF of one label on a connection of its own, to the end of it
 * (docs/formats/label-printer.md). `ORTHOTENS_LABEL_PRINTER` names it as host:port.
 */
import { connect } from 'node:net';

const PATIENCE_MS = 5000;

/** Sends a label, and says in a sentence what became of it. */
export async function sendToPrinter(label: Buffer): Promise<string> {
  const named = process.env.ORTHOTENS_LABEL_PRINTER;
  if (!named) return 'No label printer is named here (ORTHOTENS_LABEL_PRINTER): print the PDF.';
  const [host = '', port = ''] = named.split(':');
  return new Promise((resolve) => {
    const socket = connect({ host, port: Number(port) });
    let answer = '';
    const end = (sentence: string) => {
      socket.destroy();
      resolve(sentence);
    };
    socket.setTimeout(PATIENCE_MS, () => end('The label printer does not answer: is it on?'));
    socket.on('error', () => end('The label printer cannot be reached: is it on?'));
    socket.on('data', (chunk) => {
      answer += String(chunk).slice(0, 200);
    });
    socket.on('close', () =>
      resolve(
        answer.startsWith('printed')
          ? 'The label is printed.'
          : `The label printer refused it: ${answer.trim() || 'it said nothing'}.`,
      ),
    );
    socket.end(label);
  });
}
