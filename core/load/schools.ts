/** What each answer to a question of the house does to one frame. */
import type { Bed } from '../frame/bed';
import {
  CROSSES_QUESTION,
  crossesStep,
  HOUSE_QUESTIONS,
  type HouseQuestionName,
  type HouseRules,
} from '../house/house-rules';
import { USUAL_PULL_N } from '../measure/pull-limits';
import type { Sport } from '../terms/sport';
import { success, type Result } from '../terms/result';
import { usualJobOn } from './usual-job';
import { figuresUnderLoad, type LoadFigures } from './ways';

/**
 * The questions whose answers a hoop of a sport feels: order, crosses against mains, knots.
 *
 * @example
 * loadQuestions('tennis') // ['ahead', 'tennisCrosses', 'knotPull', 'firstCrosses', 'topCross']
 */
export const loadQuestions = (sport: Sport): readonly HouseQuestionName[] => [
  'ahead',
  CROSSES_QUESTION[sport],
  'knotPull',
  'firstCrosses',
  'topCross',
];

export interface SchoolCost {
  readonly question: HouseQuestionName;
  readonly school: string;
  readonly figures: LoadFigures;
}

/**
 * What a school costs on a frame that is strung as is usual, all other answers being those of the house. Errors: those of
 * `frameLoad`.
 *
 * @param factor stiffness of the hoop beside what is usual, where it was measured
 *
 * @example
 * schoolCost(usual.bed, usual.house, 'ahead', 'one').value.school // 'one'
 */
export function schoolCost(
  bed: Bed,
  house: HouseRules,
  question: HouseQuestionName,
  school: string,
  factor = 1,
): Result<SchoolCost> {
  const { sport } = bed.spec;
  const isCrosses = question === CROSSES_QUESTION[sport];
  const answered = { ...house, [question]: school, ...(isCrosses && { crossesByN: null }) };
  const step = crossesStep(answered, sport);
  const usualN = USUAL_PULL_N[sport];
  const job = usualJobOn(bed, answered, {
    tension: { mainN: usualN + step.mainN, crossN: usualN + step.crossN, unit: 'kg' },
  });
  const figures = figuresUnderLoad(job, { factor });
  return figures.ok ? success({ question, school, figures: figures.value }) : figures;
}

/**
 * Every school on every question that a hoop feels, in their order.
 *
 * @example
 * everySchool('squash').length // 14
 */
export const everySchool = (
  sport: Sport,
): readonly { readonly question: HouseQuestionName; readonly school: string }[] =>
  loadQuestions(sport).flatMap((question) =>
    HOUSE_QUESTIONS[question].map((school) => ({ question, school })),
  );
