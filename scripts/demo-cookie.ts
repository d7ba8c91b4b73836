/** Comes in by the demo's own door, as one of its invented people; gives what a browser would send from then on. */
export async function demoCookie(origin: string, username: string): Promise<string> {
  const answer = await fetch(`${origin}/doors/sign-in/demo`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin },
    body: JSON.stringify({ username }),
  });
  if (!answer.ok) throw new Error(`The door of the demo is shut: ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');
}
