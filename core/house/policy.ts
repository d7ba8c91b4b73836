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
const DEEDS = {
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
} as const satisfies Readonly<Record<string, readonly Role[]>>;

export type Deed = keyof typeof DEEDS;
export const ALL_DEEDS = Object.keys(DEEDS) as readonly Deed[];

/**
 * Whether a role may do something.
 *
 * Limits: it says nothing of whose row it is; that the rows of a workshop are its own is kept by the
 * database. Source: common practice of small workshops, no source.
 *
 * @example may('counter', 'set up') // → false
 */
export const may = (role: Role, deed: Deed): boolean =>
  (DEEDS[deed] as readonly Role[]).includes(role);

/**
 * Whether what somebody strings counts only while another watches.
 *
 * @example isWatched('learner') // → true
 */
export const isWatched = (role: Role): boolean =>
  may(role, 'string') && !may(role, 'watch a learner');
