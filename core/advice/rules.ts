/** Every rule of advice, in the order in which a stringer would go through them. */
import { ARM_RULES } from './arm-rules';
import { FRAME_RULES } from './frame-rules';
import { LAST_JOB_RULES } from './last-job-rules';
import { PLACE_RULES } from './place-rules';
import { PLAYER_RULES } from './player-rules';
import { RACKET_RULES } from './racket-rules';
import { RESTRING_RULES } from './restring-rules';
import type { AdviceCase, Rule } from './rule';

export const RULES: readonly Rule[] = [
  ...FRAME_RULES,
  ...PLAYER_RULES,
  ...ARM_RULES,
  ...PLACE_RULES,
  ...LAST_JOB_RULES,
  ...RACKET_RULES,
  ...RESTRING_RULES,
];

/** The rules that hold for a client and a racket, whatever it is strung with. */
export const rulesInForce = (about: AdviceCase): readonly Rule[] =>
  RULES.filter((rule) => rule.sports.includes(about.spec.sport) && rule.applies(about));
