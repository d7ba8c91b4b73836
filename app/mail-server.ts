/** One message, handed to the mail server that is named outside; it is given so long and no longer. */
import { createTransport } from 'nodemailer';
import type { Letter } from '@/db/outbox';

export interface MailServer {
  /** Where it is, as `smtp://host:25`. */
  readonly server: string;
  /** The address that messages come from. */
  readonly from: string;
  /** A server that says nothing must not hold the other messages up, ms. */
  readonly patienceMs?: number;
}

/** The one that the environment names, if any. */
export const namedMailServer = (): MailServer | undefined =>
  process.env.ORTHOTENS_SMTP
    ? {
        server: process.env.ORTHOTENS_SMTP,
        from: process.env.ORTHOTENS_MAIL_FROM ?? 'orthotens@localhost',
      }
    : undefined;

/** As many times its patience with one word is given to a server that says something now and then. */
const WORDS = 3;

/** Hands it over, or throws with the reason. The same message has the same identity each time that it is tried. */
export async function deliver(
  letter: Pick<Letter, 'id' | 'toAddress' | 'subject' | 'text'>,
  workshop: string,
  { server, from, patienceMs = 8000 }: MailServer,
): Promise<void> {
  const transport = createTransport({
    url: server,
    connectionTimeout: patienceMs,
    greetingTimeout: patienceMs,
    socketTimeout: patienceMs,
  });
  let bell: NodeJS.Timeout | undefined;
  const tooLong = new Promise<never>((_, reject) => {
    bell = setTimeout(() => reject(new Error('it takes too long')), WORDS * patienceMs);
  });
  try {
    await Promise.race([
      tooLong,
      transport.sendMail({
        from: { name: workshop, address: from },
        to: letter.toAddress,
        subject: letter.subject,
        text: letter.text,
        messageId: `<${letter.id}@orthotens>`,
      }),
    ]);
  } finally {
    clearTimeout(bell);
    transport.close();
  }
}
