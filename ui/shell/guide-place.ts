/** The page of the guide for each place, by how its address begins; the longer beginning goes first. */
const PLACES: readonly (readonly [address: RegExp, place: string])[] = [
  [/^\/$/, 'today'],
  [/^\/short/, 'short-ticket'],
  [/^\/take-in|^\/tickets\/\d+\/take-in/, 'take-in'],
  [/^\/tickets\/\d+\/inspect/, 'inspect'],
  [/^\/tickets\/\d+\/frame/, 'frame'],
  [/^\/tickets\/\d+\/setup/, 'setup'],
  [/^\/tickets\/\d+\/cut/, 'cut'],
  [/^\/tickets\/\d+\/pull|^\/bench\//, 'pull'],
  [/^\/tickets\/\d+\/(hand-over|last-look)/, 'hand-over'],
  [/^\/tickets\/\d+\/load|^\/frames\/[^/]+\/load/, 'under-load'],
  [/^\/(sheets|papers|why)\/|^\/workshop\/papers|^\/money\/invoices/, 'papers'],
  [/^\/jobs/, 'jobs'],
  [/^\/clients/, 'clients'],
  [/^\/rackets\/[^/]+\/ageing/, 'ageing'],
  [/^\/rackets\/[^/]+\/reading/, 'reading'],
  [/^\/rackets/, 'rackets'],
  [/^\/frames/, 'frames'],
  [/^\/strings/, 'strings'],
  [/^\/shelf/, 'shelf'],
  [/^\/events/, 'events'],
  [/^\/money/, 'money'],
  [/^\/outbox/, 'messages'],
  [/^\/practice/, 'practice'],
  [/^\/guide/, 'README'],
  [/^\/same-feel/, 'same-feel'],
  [/^\/workshop\/house-rules/, 'house-rules'],
  [/^\/workshop\/machines/, 'machines'],
  [/^\/workshop\/benches/, 'benches'],
  [/^\/(workshop\/(people|trail)|workshops|me)$/, 'people'],
  [/^\/workshop/, 'workshop'],
];

/** What the guide calls the place of an address; its list of places where it has no page for it. */
export const guidePlaceOf = (pathname: string): string =>
  PLACES.find(([address]) => address.test(pathname))?.[1] ?? 'README';
