/**
 * Messages to people. What is sent is put into a folder, each message a file of the usual open form (RFC 5322),
 * as a stand-in for a mail service: whoever runs the house reads it there, or lets a mail program pick it up.
 */
import { randomUUID } from 'node:crypto';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { messageFile, type Message } from '@/formats/message-file';

export async function sendMessage(message: Message): Promise<void> {
  const folder = process.env.ORTHOTENS_MESSAGES;
  if (!folder)
    throw new Error('ORTHOTENS_MESSAGES is not set: start the application with npm start.');
  const now = new Date();
  const name = `${now.toISOString().replaceAll(':', '-')}-${randomUUID()}.eml`;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const aside = join(folder, `.${name}`);
  await writeFile(aside, messageFile(message, now), { mode: 0o600 });
  await rename(aside, join(folder, name));
}
