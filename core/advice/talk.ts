/** What the client says at the counter, and what is known of the racket besides its frame. */
import { z } from 'zod';
import { familySchema } from '../terms/family';
import { listed } from '../terms/listed';
import type { Sport } from '../terms/sport';
import { ticketTensionSchema } from '../measure/units';
import { pullKindSchema } from '../house/machine';

const wantSchema = z.enum(['power', 'control', 'spin', 'comfort', 'life']);
export type Want = z.infer<typeof wantSchema>;

/** What was wrong with the last job. */
const faultSchema = z.enum(['launches', 'boardy', 'dead', 'broke', 'hurts', 'slides']);
export type Fault = z.infer<typeof faultSchema>;

/** Null, or an empty list, is a question that was skipped. */
export const talkSchema = z.object({
  age: z.enum(['junior', 'adult', 'older']).nullable(),
  level: z.enum(['beginner', 'club', 'advanced', 'performance']).nullable(),
  swing: z.enum(['slow', 'medium', 'fast']).nullable(),
  style: z.enum(['flat', 'spin', 'touch']).nullable(),
  playsAWeek: z.number().min(0).max(14).nullable(),
  breaks: z.enum(['never', 'in months', 'in weeks', 'in days']).nullable(),
  arm: z.enum(['well', 'before', 'now']).nullable(),
  armPart: z.enum(['elbow', 'wrist', 'shoulder']).nullable(),
  wants: z.array(wantSchema),
  faults: z.array(faultSchema),
  budget: z.enum(['low', 'middle', 'open']).nullable(),
  court: z.enum(['indoors', 'outdoors']).nullable(),
  altitudeM: z.number().min(-400).max(5000).nullable(),
  season: z.enum(['summer', 'winter']).nullable(),
  weather: z.enum(['hot', 'cold', 'damp']).nullable(),
  /** What the client asks for by name. */
  asksFamily: familySchema.nullable(),
  asks: ticketTensionSchema.nullable(),
  /** What was in it, when this workshop has no record of it. */
  beforeFamily: familySchema.nullable(),
  before: ticketTensionSchema.nullable(),
  beforePull: pullKindSchema.nullable(),
  racket: z.object({
    /** Of the unstrung racket. */
    weightG: z.number().min(50).max(450).nullable(),
    stiffness: z.enum(['flexible', 'medium', 'stiff']).nullable(),
    grip: z.enum(['built up', 'as made', 'smaller']).nullable(),
    leadHeadG: z.number().min(0).max(60).nullable(),
    leadHandleG: z.number().min(0).max(60).nullable(),
  }),
});

export type Talk = z.infer<typeof talkSchema>;

/** Nobody has said anything yet. */
export const SILENT: Talk = {
  age: null,
  level: null,
  swing: null,
  style: null,
  playsAWeek: null,
  breaks: null,
  arm: null,
  armPart: null,
  wants: [],
  faults: [],
  budget: null,
  court: null,
  altitudeM: null,
  season: null,
  weather: null,
  asksFamily: null,
  asks: null,
  beforeFamily: null,
  before: null,
  beforePull: null,
  racket: { weightG: null, stiffness: null, grip: null, leadHeadG: null, leadHandleG: null },
};

/**
 * What stays true from one job to the next; what was wrong and what is asked for is said anew each time.
 *
 * @example
 * remembered({ ...usual.about.talk, level: 'club' }).level // 'club'
 */
export const remembered = (talk: Talk): Talk => ({
  ...talk,
  faults: [],
  asksFamily: null,
  asks: null,
  beforeFamily: null,
  before: null,
  beforePull: null,
});

const WANT_WORDS: Record<Sport, Partial<Record<Want, string>>> = {
  tennis: {
    power: 'power',
    control: 'control',
    spin: 'spin',
    comfort: 'comfort',
    life: 'longer life',
  },
  badminton: {
    power: 'repulsion',
    control: 'shuttle control',
    comfort: 'a softer hit',
    life: 'longer life',
  },
  squash: {
    power: 'power',
    control: 'control',
    spin: 'cut',
    comfort: 'comfort',
    life: 'longer life',
  },
};

/**
 * What a client of this sport may want more of, in the sport's own words.
 *
 * @example
 * wantsOf('badminton').length > 0 // true
 */
export const wantsOf = (sport: Sport): readonly { readonly value: Want; readonly text: string }[] =>
  wantSchema.options.flatMap((value) => {
    const text = WANT_WORDS[sport][value];
    return text ? [{ value, text }] : [];
  });

const wantWord = (want: Want, sport: Sport): string => WANT_WORDS[sport][want] ?? want;

const FAULT_WORDS: Record<Fault, string> = {
  launches: 'launches',
  boardy: 'boardy',
  dead: 'went dead',
  broke: 'broke early',
  hurts: 'hurts',
  slides: 'strings slide',
};

export const FAULTS: readonly { readonly value: Fault; readonly text: string }[] =
  faultSchema.options.map((value) => ({ value, text: FAULT_WORDS[value] }));

/**
 * The whole talk in a line of words: `older, club, flat · plays 2 a week · elbow sore now`.
 *
 * @example
 * talkWords(usual.about.talk, 'tennis') // ''
 */
export function talkWords(talk: Talk, sport: Sport): string {
  const { racket } = talk;
  const groups: readonly (readonly (string | false | null)[])[] = [
    [
      talk.age === 'adult' ? null : talk.age,
      talk.level,
      talk.swing && `${talk.swing} swing`,
      talk.style,
    ],
    [
      talk.playsAWeek !== null && `plays ${talk.playsAWeek} a week`,
      talk.breaks && (talk.breaks === 'never' ? 'never breaks' : `breaks ${talk.breaks}`),
    ],
    [armWords(talk)],
    [
      talk.wants.length > 0 && `wants ${listed(talk.wants.map((want) => wantWord(want, sport)))}`,
      talk.faults.length > 0 &&
        `last time: ${talk.faults.map((fault) => FAULT_WORDS[fault]).join(', ')}`,
      talk.asksFamily && `asks for ${talk.asksFamily}`,
    ],
    [
      talk.budget && (talk.budget === 'open' ? 'price is no matter' : `${talk.budget} budget`),
      talk.court,
      talk.altitudeM !== null && `${talk.altitudeM} m`,
      talk.season,
      talk.weather,
    ],
    [
      racket.weightG !== null && `${racket.weightG} g`,
      racket.stiffness && `${racket.stiffness} frame`,
      racket.grip && racket.grip !== 'as made' && `grip ${racket.grip}`,
      leadG(talk) > 0 && `${leadG(talk)} g of lead`,
    ],
  ];
  return groups
    .map((group) => group.filter(Boolean).join(', '))
    .filter(Boolean)
    .join(' · ');
}

function armWords({ arm, armPart }: Talk): string | null {
  if (arm === null) return null;
  if (arm === 'well') return 'arm is well';
  return `${armPart ?? 'arm'} ${arm === 'now' ? 'sore now' : 'was sore'}`;
}

/** Lead tape on the racket, g. */
export const leadG = ({ racket }: Talk): number =>
  (racket.leadHeadG ?? 0) + (racket.leadHandleG ?? 0);

/** Said wherever the arm is asked about. */
export const ARM_CAUTION =
  'Advice on strings is no medical advice: a painful arm belongs with a clinician.';
