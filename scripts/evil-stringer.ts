/**
 * Somebody who strings here and means ill: they stand at a trusted device, know their own code and every address of the
 * application, and have no password. They try to make a door of their own, to become somebody else, to take records or money
 * out, to change the house, and to come into another workshop.
 */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { asksPassword, may, type Right } from '@/core/house/role-rights';
import { chanceFrom, type Chance } from '@/core/maths/chance';
import { hashToken } from '@/db/codes';
import { DEMO_STAFF } from '@/db/demo/staff';
import { argumentsOf, FORGED } from './action-arguments';
import { actionsOf, callAction, type Target } from './actions';
import { onServer } from './databases';
import { cookieAfter } from './demo-cookie';
import { actionGates, pageGates } from './gates';

const ROLE = 'stringer';
const WHO = DEMO_STAFF.find(({ role }) => role === ROLE) ?? { username: '', code: '' };

export interface EvilReport {
  readonly tries: number;
  /** What is not as it was, or was answered though it should not have been. */
  readonly got: readonly string[];
}

/** What nobody like them may change, by name. */
const KEPT: Readonly<Record<string, string>> = {
  people: 'select id, name, email, username, two_factor_enabled from people order by id',
  passwords: 'select user_id, password from accounts order by user_id',
  passkeys: 'select * from passkeys order by id',
  'second steps': 'select * from second_steps order by id',
  members: 'select id, person_id, workshop_id, role, left_at, code_hash from members order by id',
  devices: 'select id, workshop_id, name, removed_at from devices order by id',
  invitations: 'select * from invitations order by id',
  'calendars that are read from outside': 'select * from calendar_feeds order by 1',
  houses: `select id, name, currency, house_rules, templates, owners_second_step from workshops order by id`,
  machines: 'select id, name, gripper_mm, removed_at from machines order by id',
  benches: 'select id, name, removed_at from benches order by id',
  'money given back': 'select id, amount_minor from payments where amount_minor < 0 order by id',
  'credit notes': `select id from invoices where kind = 'credit note' order by id`,
  'voided jobs': 'select id from tickets where was_closed_at is not null order by id',
  'who is signed in': 'select distinct user_id from sessions order by user_id',
};

const asItStands = (address: string): Promise<ReadonlyMap<string, string>> =>
  onServer(address, async (client) => {
    const said = new Map<string, string>();
    for (const [name, question] of Object.entries(KEPT)) {
      const { rows } = await client.query<object>(question);
      said.set(name, createHash('sha256').update(JSON.stringify(rows)).digest('hex'));
    }
    return said;
  });

interface Place {
  readonly device: string;
  readonly me: string;
  readonly others: readonly string[];
}

/** Makes a trusted device in the workshop, as its owner does it, and says who works there. */
const atADevice = (address: string, workshopId: string, username: string): Promise<Place> =>
  onServer(address, async (client) => {
    const token = randomBytes(32).toString('base64url');
    const { rows } = await client.query<{ id: string; username: string }>(
      `select people.id, username from people join members on person_id = people.id
        where workshop_id = $1 order by username`,
      [workshopId],
    );
    const me = rows.find((each) => each.username === username)?.id ?? '';
    const others = rows.flatMap(({ id }) => (id === me ? [] : [id]));
    await client.query(
      `insert into devices (workshop_id, name, token_hash, trusted_by) values ($1, 'The bench', $2, $3)`,
      [workshopId, hashToken(token), others[0]],
    );
    return { device: `orthotens.device=${workshopId}.${token}`, me, others };
  });

const GUESSES = ['0000', '1234', '4071 4071', 'password1234', 'stringer', 'hesper hesper', ''];

/** Doors that would make them more than they are, with what they might be sent. */
function doorTried(chance: Chance, { others }: Place): readonly [path: string, body: object] {
  const guess = chance.one(GUESSES);
  const code = String(1000 + chance.below(9000));
  return chance.one<readonly [string, object]>([
    ['hands/change', { personId: chance.one(others), code }],
    ['hands/watch', { personId: chance.one(others), code }],
    ['hands/prove', { password: guess }],
    ['sign-in/username', { username: chance.one(['hesper', 'tobin']), password: guess }],
    ['sign-in/email', { email: 'hesper@netloft.example', password: guess }],
    ['sign-up/email', { email: 'me@evil.example', name: 'Me', password: 'long enough words' }],
    ['change-password', { currentPassword: guess, newPassword: 'nine evil herons wade' }],
    ['set-password', { newPassword: 'nine evil herons wade' }],
    ['change-email', { newEmail: 'me@evil.example' }],
    ['update-user', { name: 'Hesper Quillmere', twoFactorEnabled: false }],
    ['update-session', { byCode: false, provenAt: new Date().toISOString() }],
    ['delete-user', { password: guess }],
    ['reset-password', { newPassword: 'nine evil herons wade', token: randomUUID() }],
    ['passkey/generate-register-options', {}],
    ['passkey/verify-registration', { response: { id: 'x', rawId: 'x', type: 'public-key' } }],
    ['passkey/verify-authentication', { response: { id: 'x', rawId: 'x', type: 'public-key' } }],
    ['passkey/delete-passkey', { id: FORGED }],
    ['two-factor/enable', { password: guess }],
    ['two-factor/disable', { password: guess }],
    ['two-factor/verify-totp', { code: code.padStart(6, '0') }],
    ['two-factor/verify-backup-code', { code: 'abcde-fghij' }],
    ['two-factor/generate-backup-codes', { password: guess }],
    ['two-factor/view-backup-codes', { userId: chance.one(others) }],
    ['revoke-other-sessions', {}],
    ['revoke-session', { token: randomUUID() }],
    ['link-social', { provider: 'github' }],
    ['admin/set-role', { userId: chance.one(others), role: 'admin' }],
  ]);
}

const opens = (right: Right | undefined): boolean =>
  right !== undefined && may(ROLE, right) && !asksPassword(right);

/**
 * Plays them for so many tries against a running server over a filled demo that nobody else works in.
 *
 * @param address of the database, as its owner
 */
export async function playEvil(
  target: Target,
  address: string,
  tries: number,
  seed: number,
): Promise<EvilReport> {
  const { origin, workshopId } = target;
  const chance = chanceFrom(seed);
  const place = await atADevice(address, workshopId, WHO.username);
  const ask = (path: string, cookie: string, body?: object): Promise<Response> =>
    fetch(origin + path, {
      redirect: 'manual',
      headers: { cookie, origin, ...(body && { 'content-type': 'application/json' }) },
      ...(body && { method: 'POST', body: JSON.stringify(body) }),
    });
  const came = await ask('/doors/hands/change', place.device, {
    personId: place.me,
    code: WHO.code,
  });
  const cookie = `${place.device}; ${cookieAfter(came)}`;
  const isIn = async () => (await ask('/clients', cookie)).status === 200;
  if (!(await isIn())) throw new Error(`Their own code does not let them in: ${came.status}.`);
  const forged = (): string =>
    chance.one([
      cookie,
      cookie,
      cookie.replace(/.(?=[^.]*$)/, 'x'),
      `${place.device}; orthotens.session_token=${randomUUID()}`,
      `orthotens.device=${FORGED}.${'x'.repeat(43)}`,
    ]);
  const actions = actionsOf(target.build);
  const gates = actionGates();
  const pages = pageGates().filter(({ name }) => !name.includes('['));
  const got: string[] = [];
  const before = await asItStands(address);

  const tryAction = async () => {
    const [id, name] = chance.one(actions);
    const right = gates.find((each) => each.name === name)?.right;
    const madeFor = chance.next() < 0.8 ? workshopId : chance.one([FORGED, randomUUID()]);
    const args = argumentsOf(name, target, chance);
    const { status, text } = await callAction({ origin, cookie: forged() }, id, [madeFor, ...args]);
    if (status >= 500) got.push(`${name}: ${status}`);
    if (!opens(right) && /"ok":true|"go":|"link":/.test(text)) got.push(`${name}: done`);
    if (madeFor !== workshopId && /"ok":true|"go":/.test(text)) got.push(`${name}: elsewhere`);
  };
  const tryDoor = async () => {
    const [path, body] = doorTried(chance, place);
    const { status } = await ask(`/doors/${path}`, forged(), body);
    if (status < 400 || status >= 500) got.push(`${path}: ${status}`);
  };
  const tryPage = async () => {
    const { name, right } = chance.one(pages);
    const path = `/${name.replace(/^\([^)]+\)\//, '').replace(/\/?(page\.tsx|route\.ts)$/, '')}`;
    const answer = await ask(path, cookie);
    await answer.arrayBuffer();
    if (answer.status >= 500 || (right !== undefined && !opens(right) && answer.ok))
      got.push(`${path}: ${answer.status}`);
  };

  for (let i = 0; i < tries; i++) {
    const kind = chance.next();
    await (kind < 0.5 ? tryAction : kind < 0.8 ? tryDoor : tryPage)();
  }
  // Whoever was put out at once has tried nothing.
  if (!(await isIn())) got.push('they were put out, so that much was not tried');
  const after = await asItStands(address);
  for (const [name, said] of before) if (after.get(name) !== said) got.push(`changed: ${name}`);
  return { tries, got };
}
