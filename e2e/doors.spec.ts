import { request as ask } from 'node:http';
import { expect, test } from '@playwright/test';

interface Asked {
  readonly path: string;
  readonly method?: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body?: string;
}

/** Asks the server as no browser would: with any Host, from any site. */
const answerTo = (baseURL: string | undefined, { path, method = 'GET', headers, body }: Asked) =>
  new Promise<{ status: number; text: string; policy: string }>((resolve, reject) => {
    const asked = ask(new URL(path, baseURL), { method, headers }, (answer) => {
      let text = '';
      answer.setEncoding('utf8');
      answer.on('data', (part: string) => (text += part));
      answer.on('end', () =>
        resolve({
          status: answer.statusCode ?? 0,
          text,
          policy: String(answer.headers['content-security-policy']),
        }),
      );
    });
    asked.on('error', reject);
    asked.end(body);
  });

test('another name, another site and too long a body are refused before anything runs', async ({
  baseURL,
}) => {
  const { host } = new URL(baseURL ?? '');
  const json = { 'content-type': 'application/json' };
  const named = await answerTo(baseURL, { path: '/jobs', headers: { host: 'evil.example' } });
  expect(named.status).toBe(421);
  expect(named.text).toContain('This name is not one');
  const strange = await answerTo(baseURL, {
    path: '/strings/import/file',
    method: 'POST',
    headers: { host, origin: 'http://evil.example', ...json, 'content-length': '2' },
    body: '{}',
  });
  expect(strange.status).toBe(403);
  const long = await answerTo(baseURL, {
    path: '/take-in',
    method: 'POST',
    headers: { host, ...json, 'content-length': '300000' },
    body: 'x'.repeat(300_000),
  });
  expect(long.status).toBe(413);
  // The framework's other door, another scheme, a port that there is not, and a message that is too deep.
  const form = 'multipart/form-data; boundary=x';
  for (const [headers, body, status] of [
    [
      { host, 'content-type': form },
      '--x\r\ncontent-disposition: form-data; name="$ACTION_REF_1"\r\n\r\n\r\n--x--',
      415,
    ],
    [{ host, origin: `https://${host}`, ...json }, '{}', 403],
    [{ host: '127.0.0.1:99999', ...json }, '{}', 421],
    [{ host, ...json, 'next-action': 'a'.repeat(42) }, '['.repeat(100_000), 400],
  ] as const) {
    const answer = await answerTo(baseURL, {
      path: '/take-in',
      method: 'POST',
      headers: { ...headers, 'content-length': String(body.length) },
      body,
    });
    expect([body.slice(0, 20), answer.status]).toEqual([body.slice(0, 20), status]);
  }
});

test('a page runs its own scripts only, each answer with a nonce of its own', async ({
  page,
  baseURL,
}) => {
  const policies = new Set<string>();
  for (const path of ['/', '/', '/sign-in', '/nothing/here']) {
    const { host } = new URL(baseURL ?? '');
    const { policy } = await answerTo(baseURL, { path, headers: { host } });
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']{20,}'/);
    policies.add(policy);
  }
  expect(policies.size).toBe(4);
  const first = await page.goto('/');
  expect(first?.headers()['x-frame-options']).toBe('DENY');
  // What is written into a page by somebody else does not run.
  const ran = await page.evaluate(() => {
    document.body.insertAdjacentHTML('beforeend', '<img src="x" onerror="window.ran = 1">');
    const script = document.createElement('script');
    script.textContent = 'window.ran = 2';
    document.body.append(script);
    return new Promise((resolve) =>
      setTimeout(() => resolve((window as { ran?: number }).ran ?? 'nothing'), 300),
    );
  });
  expect(ran).toBe('nothing');
});
