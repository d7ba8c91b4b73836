/** Lines of vCard (RFC 6350) and iCalendar (RFC 5545): escaped, folded at 75 octets, ended by CR LF. */

/** A text as a value: commas, semicolons, backslashes and line ends are marked. */
export const asText = (text: string): string =>
  text.replace(/[\\,;]/g, '\\$&').replace(/\r?\n/g, '\\n');

const OCTETS = 75;

/** One line as it may stand in a file; a letter is never cut in two. */
function folded(line: string): string {
  const parts: string[] = [];
  let part = '';
  for (const letter of line) {
    const most = parts.length === 0 ? OCTETS : OCTETS - 1;
    if (Buffer.byteLength(part + letter) > most) {
      parts.push(part);
      part = '';
    }
    part += letter;
  }
  return [...parts, part].join('\r\n ');
}

export const fileOf = (lines: readonly string[]): string =>
  lines.map((line) => `${folded(line)}\r\n`).join('');
