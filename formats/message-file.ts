/** A message as a file, in the form of RFC 5322 with the encodings of RFC 2045 and 2047. */

export interface Message {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');
const two = (n: number): string => String(n).padStart(2, '0');

/** `Thu, 26 Nov 2026 09:52:31 +0000` (RFC 5322, 3.3). */
const dateLine = (at: Date): string =>
  `${DAYS[at.getUTCDay()]}, ${two(at.getUTCDate())} ${MONTHS[at.getUTCMonth()]} ${at.getUTCFullYear()} ${two(at.getUTCHours())}:${two(at.getUTCMinutes())}:${two(at.getUTCSeconds())} +0000`;

/** Whoever writes a line break into a field would add fields of their own. */
const oneLine = (text: string): string => text.replace(/[\r\n\0]+/g, ' ').trim();

/** A field as it may stand in a header: as it is, or in an encoded word where it is not ASCII (RFC 2047). */
function field(text: string): string {
  const line = oneLine(text);
  if (/^[\x20-\x7e]*$/.test(line)) return line;
  return `=?utf-8?B?${Buffer.from(line, 'utf8').toString('base64')}?=`;
}

/**
 * A message as a mail program opens it. Lines of the text are kept; it goes in base64, so that no line is too long.
 */
export function messageFile({ to, subject, text }: Message, at: Date): string {
  const body = Buffer.from(text.replace(/\r?\n/g, '\r\n'), 'utf8')
    .toString('base64')
    .replace(/.{76}/g, '$&\r\n');
  return [
    `Date: ${dateLine(at)}`,
    'From: Orthotens <orthotens@localhost>',
    `To: ${oneLine(to).replace(/[^\x21-\x7e]/g, '')}`,
    `Subject: ${field(subject)}`,
    'MIME-Version: 1.0',
    'Content-Type: text/plain; charset=utf-8',
    'Content-Transfer-Encoding: base64',
    '',
    body,
    '',
  ].join('\r\n');
}
