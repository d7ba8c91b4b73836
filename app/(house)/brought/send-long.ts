import { z } from 'zod';
import { formAnswerSchema, type FormAnswer } from '@/ui/form/result';

const lineSchema = z.union([z.object({ done: z.number() }), formAnswerSchema]);

/** Sends long work to its route and hears how far it is, line by line; what is broken off was not done. */
export async function sendLong(
  path: string,
  madeFor: string,
  message: object,
  signal: AbortSignal,
  onDone: (done: number) => void,
): Promise<FormAnswer> {
  const response = await fetch(path, {
    method: 'POST',
    signal,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ madeFor, message }),
  });
  if (!response.body) throw new Error('There is no answer.');
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  let answer: FormAnswer | undefined;
  const hear = (line: string) => {
    if (line.trim() === '') return;
    const said = lineSchema.parse(JSON.parse(line));
    if ('done' in said) onDone(said.done);
    else answer = said;
  };
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    lines.forEach(hear);
  }
  hear(rest);
  if (!answer) throw new Error('The answer broke off.');
  return answer;
}
