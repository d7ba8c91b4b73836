/** What a browser would send after this answer: of each name the last value, and none that was taken away. */
export function cookieAfter(answer: Response): string {
  const kept = new Map<string, string>();
  for (const each of answer.headers.getSetCookie()) {
    const [, name = '', value = ''] = /^([^=]+)=([^;]*)/.exec(each) ?? [];
    kept.set(name, value);
  }
  return [...kept]
    .flatMap(([name, value]) => (value === '' ? [] : [`${name}=${value}`]))
    .join('; ');
}

/** Comes in by the demo's own door, as one of its invented people; gives what a browser would send from then on. */
export async function demoCookie(origin: string, username: string): Promise<string> {
  const answer = await fetch(`${origin}/doors/sign-in/demo`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin },
    body: JSON.stringify({ username }),
  });
  if (!answer.ok) throw new Error(`The door of the demo is shut: ${answer.status}`);
  return cookieAfter(answer);
}
