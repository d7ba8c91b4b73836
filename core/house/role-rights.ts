/** Who may do what in a workshop: the one place where it is decided. */

export const ROLES = ['owner', 'stringer', 'counter', 'learner'] as const;
export type Role = (typeof ROLES)[number];

/** What each role is there for, as the page of people says it. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'runs the workshop: everything, and who works in it',
  stringer: 'takes rackets in, sets up, cuts, strings and hands over',
  counter: 'talks to clients, takes rackets in and hands them over',
  learner: 'practises, and strings while somebody watches',
};

/** What can be done here, and which roles may do it. */
const RIGHTS = {
  'see the day': ['owner', 'stringer', 'counter', 'learner'],
  'see tickets': ['owner', 'stringer', 'counter'],
  'take in': ['owner', 'stringer', 'counter'],
  'arrange the day': ['owner', 'stringer', 'counter'],
  'set up': ['owner', 'stringer'],
  'plan the cut': ['owner', 'stringer'],
  string: ['owner', 'stringer', 'learner'],
  'watch a learner': ['owner', 'stringer'],
  'withdraw a racket': ['owner', 'stringer', 'counter'],
  'hand over': ['owner', 'stringer', 'counter'],
  'print papers': ['owner', 'stringer', 'counter'],
  'issue invoices': ['owner', 'stringer', 'counter'],
  'take payments': ['owner', 'stringer', 'counter'],
  'give money back': ['owner', 'stringer', 'counter'],
  'see the money': ['owner', 'counter'],
  'write to clients': ['owner', 'stringer', 'counter'],
  'give out links': ['owner', 'stringer', 'counter'],
  practise: ['owner', 'stringer', 'counter', 'learner'],
  'see clients': ['owner', 'stringer', 'counter'],
  'change clients': ['owner', 'stringer', 'counter'],
  'see frames': ['owner', 'stringer', 'counter', 'learner'],
  'change frames': ['owner', 'stringer'],
  'see strings': ['owner', 'stringer', 'counter', 'learner'],
  'change strings': ['owner', 'stringer'],
  'keep the shelf': ['owner', 'stringer'],
  'see records': ['owner', 'stringer', 'counter'],
  'correct a record': ['owner', 'stringer'],
  'void jobs': ['owner', 'stringer'],
  'take records out': ['owner'],
  'bring records in': ['owner'],
  'see machines': ['owner', 'stringer', 'learner'],
  'check machines': ['owner', 'stringer'],
  'change machines': ['owner'],
  'change the workshop': ['owner'],
  'see house rules': ['owner', 'stringer'],
  'change house rules': ['owner'],
  'change people': ['owner'],
  'trust devices': ['owner'],
  'see the trail': ['owner'],
  /** One's own code, passkeys, and addresses that are read without signing in. */
  'make own doors': ['owner', 'stringer', 'counter', 'learner'],
} as const satisfies Readonly<Record<string, readonly Role[]>>;

export type Right = keyof typeof RIGHTS;
export const ALL_RIGHTS = Object.keys(RIGHTS) as readonly Right[];

/**
 * Whether a role may do something.
 *
 * Limits: it says nothing of whose row it is; that the rows of a workshop are its own is kept by the
 * database. Source: common practice of small workshops, no source.
 *
 * @example may('counter', 'set up') // → false
 */
export const may = (role: Role, right: Right): boolean =>
  (RIGHTS[right] as readonly Role[]).includes(role);

/** What opens another door or changes the house; and money and records that go back. */
const BEHIND_A_PASSWORD: ReadonlySet<Right> = new Set([
  'take records out',
  'bring records in',
  'change machines',
  'change the workshop',
  'change house rules',
  'change people',
  'trust devices',
  'give money back',
  'void jobs',
  'make own doors',
]);

/**
 * Whether something asks for the password of whoever came in by a short code, which is for the work of a day.
 *
 * Source: common practice of banks and tills (a second proof at what cannot be undone), no source.
 *
 * @example asksPassword('change people') // → true
 */
export const asksPassword = (right: Right): boolean => BEHIND_A_PASSWORD.has(right);

const PROOF_LASTS_MS = 10 * 60_000;

/** How a session was opened, and when its person last gave their password on it. */
export interface SessionProof {
  readonly byCode: boolean;
  readonly provenAt: Date | null;
}

/**
 * Whether a session may do what asks for a password: it was opened by one, or one was given within ten minutes.
 *
 * @example isProven({ byCode: true, provenAt: null }, new Date()) // → false
 */
export const isProven = ({ byCode, provenAt }: SessionProof, now: Date): boolean =>
  !byCode || (provenAt !== null && now.getTime() - provenAt.getTime() <= PROOF_LASTS_MS);

/**
 * Whether what somebody strings counts only while another watches.
 *
 * @example isWatched('learner') // → true
 */
export const isWatched = (role: Role): boolean =>
  may(role, 'string') && !may(role, 'watch a learner');
