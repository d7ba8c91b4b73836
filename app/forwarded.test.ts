import { createServer, get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, it } from 'vitest';
import { askedFrom, believeProxies, proxiesNamed } from './forwarded';

const named = (list: string) => proxiesNamed(list) ?? expect.fail('no addresses');

it('the proxies are named by address or net, and nonsense is none', () => {
  expect(proxiesNamed(undefined)?.check('10.0.0.2')).toBe(false);
  expect(named('10.0.0.2, 10.1.0.0/16').check('10.1.7.7')).toBe(true);
  expect(named('fd00::/8').check('fd12::1', 'ipv6')).toBe(true);
  for (const wrong of ['proxy.local', '10.0.0.2/33', '10.0.0.2/x', '10.0.0', 'all'])
    expect(proxiesNamed(wrong)).toBeUndefined();
});

it('who asked is the last address that a named proxy did not write for itself', () => {
  const proxies = named('10.0.0.2, 10.1.0.0/16');
  // Nobody in between: what the request says of itself is its own affair.
  expect(askedFrom('203.0.113.9', '198.51.100.1', proxies)).toBe('203.0.113.9');
  expect(askedFrom('203.0.113.9', undefined, proxies)).toBe('203.0.113.9');
  // Behind a proxy: what stood there before is the sender's, too.
  expect(askedFrom('10.0.0.2', '198.51.100.1, 203.0.113.9', proxies)).toBe('203.0.113.9');
  expect(askedFrom('::ffff:10.0.0.2', '203.0.113.9, 10.1.0.4', proxies)).toBe('203.0.113.9');
  expect(askedFrom('10.0.0.2', 'nonsense', proxies)).toBe('10.0.0.2');
  expect(askedFrom('10.0.0.2', '10.1.0.4', proxies)).toBe('10.0.0.2');
});

it('a request says nothing else of where it came from, whoever sent it', async () => {
  believeProxies(named(''));
  const server = createServer(({ headers }, response) => response.end(JSON.stringify(headers)));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const seen = await new Promise<Record<string, string>>((resolve) =>
    get(
      {
        port,
        host: '127.0.0.1',
        headers: {
          'x-forwarded-for': '198.51.100.1',
          'x-forwarded-proto': 'https',
          'x-forwarded-host': 'other.example',
          'x-real-ip': '198.51.100.1',
          forwarded: 'for=198.51.100.1',
        },
      },
      (answer) => {
        let text = '';
        answer.on('data', (chunk: Buffer) => (text += String(chunk)));
        answer.on('end', () => resolve(JSON.parse(text) as Record<string, string>));
      },
    ),
  );
  server.close();
  expect(seen['x-forwarded-for']).toBe('127.0.0.1');
  for (const name of ['x-forwarded-proto', 'x-forwarded-host', 'x-real-ip', 'forwarded'])
    expect(seen[name]).toBeUndefined();
});
