/** What a request says of where it came from counts only when a proxy said it that was named. */
import { subscribe } from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';
import { BlockList, isIP } from 'node:net';

const SAID_BY_PROXIES = [
  'forwarded',
  'x-forwarded-for',
  'x-forwarded-host',
  'x-forwarded-port',
  'x-forwarded-proto',
  'x-real-ip',
];

const familyOf = (address: string): 'ipv4' | 'ipv6' => (isIP(address) === 6 ? 'ipv6' : 'ipv4');

/** As a socket of both kinds says an address of the fourth version. */
const bare = (address: string): string => address.replace(/^::ffff:(?=\d+\.)/, '');

/** `10.0.0.2, 10.1.0.0/16`: the proxies that `ORTHOTENS_PROXY` names; undefined where one of them is no address. */
export function proxiesNamed(list: string | undefined): BlockList | undefined {
  const named = new BlockList();
  for (const each of (list ?? '').split(/[\s,]+/).filter(Boolean)) {
    const [address = '', bits] = each.split('/');
    if (isIP(address) === 0) return undefined;
    const most = familyOf(address) === 'ipv6' ? 128 : 32;
    if (bits === undefined) named.addAddress(address, familyOf(address));
    else if (/^\d{1,3}$/.test(bits) && Number(bits) <= most)
      named.addSubnet(address, Number(bits), familyOf(address));
    else return undefined;
  }
  return named;
}

export const NO_PROXY =
  'ORTHOTENS_PROXY names the proxies in front by their addresses or nets: 10.0.0.2, 10.1.0.0/16.';

/** Who asked, by the last address that was not written by whoever asked. */
export function askedFrom(
  peer: string,
  forwardedFor: string | undefined,
  proxies: BlockList,
): string {
  const isProxy = (address: string) =>
    isIP(address) !== 0 && proxies.check(address, familyOf(address));
  const chain = [...(forwardedFor ?? '').split(',').map((each) => bare(each.trim())), bare(peer)];
  const at = chain.findLastIndex((address) => !isProxy(address));
  // Behind proxies alone, or behind one that hands on what is no address, it is the proxy that asks.
  return isIP(chain[at] ?? '') === 0 ? bare(peer) : (chain[at] ?? '');
}

/** From now on every request that comes to this process says of itself where it came from, and nothing else. */
export function believeProxies(proxies: BlockList): void {
  subscribe('http.server.request.start', (message) => {
    const { headers, socket } = (message as { readonly request: IncomingMessage }).request;
    const asked = askedFrom(
      socket.remoteAddress ?? '',
      headers['x-forwarded-for']?.toString(),
      proxies,
    );
    for (const name of SAID_BY_PROXIES) delete headers[name];
    headers['x-forwarded-for'] = asked;
  });
}
