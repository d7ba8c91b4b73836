import { describe, expect, it } from 'vitest';
import { bodyLimit, contentPolicy, hostsNamed, isOurHost, isOurOrigin } from './doors';

const NAMED = hostsNamed('shop.example:8443, Racket.local');

// Source: OWASP, DNS rebinding and Host header attacks (a list of names that are served, nothing else), from memory.
describe('the host that is asked for', () => {
  it.each([
    '127.0.0.1:3420',
    'localhost',
    'LOCALHOST:80',
    '[::1]:3420',
    'racket.local',
    'racket.local:9',
    'shop.example:8443',
  ])('%s is ours', (host) => expect(isOurHost(host, NAMED)).toBe(true));
  it.each([
    null,
    '',
    'evil.example',
    '127.0.0.1.evil.example',
    'localhost.evil.example:3420',
    'shop.example:80',
    'xracket.local',
    '192.168.1.9:3420',
    '127.0.0.1:999999',
    '127.0.0.1:99999',
  ])('%s is not', (host) => expect(isOurHost(host, NAMED)).toBe(false));
});

// Source: OWASP, cross-site request forgery (compare Origin with Host), from memory.
describe('the site that sends a change', () => {
  it('is this address or nobody’s', () => {
    expect(isOurOrigin('http://127.0.0.1:3420', '127.0.0.1:3420')).toBe(true);
    expect(isOurOrigin(null, '127.0.0.1:3420')).toBe(true);
    expect(isOurOrigin('http://127.0.0.1:3421', '127.0.0.1:3420')).toBe(false);
    expect(isOurOrigin('null', '127.0.0.1:3420')).toBe(false);
    expect(isOurOrigin('https://evil.example', '127.0.0.1:3420')).toBe(false);
    // Another scheme is another site.
    expect(isOurOrigin('https://127.0.0.1:3420', '127.0.0.1:3420')).toBe(false);
  });
});

it('a body has room for what its page sends, and no more', () => {
  expect(bodyLimit('/frames/import/file')).toBeGreaterThan(12_000_000);
  expect(bodyLimit('/take-in')).toBe(256 * 1024);
  expect(bodyLimit('/frames/import/file/more')).toBe(256 * 1024);
});

// Source: Content Security Policy Level 3 (nonces, object-src, base-uri), from memory.
it('a page runs the scripts of its own answer only', () => {
  const policy = contentPolicy('abc', '/take-in');
  expect(policy).toContain("script-src 'self' 'nonce-abc'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  expect(policy).toContain("connect-src 'self';");
  for (const part of ["object-src 'none'", "base-uri 'none'", "form-action 'self'"])
    expect(policy).toContain(part);
  expect(contentPolicy('abc', '/bench/7')).toContain("connect-src 'self' ws: wss:");
});
