/** Every rule of advice as a table for docs/method.md, so that the page cannot fall behind the rules. */
import type { Rule, Translation } from '@/core/advice/rule';
import { RULES } from '@/core/advice/rules';
import { TRANSLATIONS } from '@/core/advice/translations';
import { sourceWords } from '@/core/advice/words';
import { questionWords } from '@/core/house/house-rules';
import { SPORTS } from '@/core/terms/sport';

const START = '<!-- rules: written by npm run formats -->';
const END = '<!-- end of rules -->';

function doing(rule: Rule): string {
  return [
    rule.small && `moves both${rule.small.kind === 'place' ? ', by place' : ''}`,
    rule.favours && 'favours setups',
    rule.thicker && (rule.thicker > 0 ? 'thicker' : 'thinner'),
    rule.tells && 'is told',
  ]
    .filter(Boolean)
    .join(', ');
}

function row(rule: Rule | Translation, does: string): string {
  const { title, sports, rank, school, source, why } = rule;
  const where = sports.length === SPORTS.length ? 'all' : sports.join(', ');
  const differ = school ? ` (${questionWords(school).toLowerCase()})` : '';
  return `| ${title} | ${where} | ${does} | ${rank}${differ} | ${sourceWords(source)} | ${why} |`;
}

export const rulesTable = (): readonly string[] => [
  '| rule | sports | does | rank (question of the house) | source | why |',
  '| --- | --- | --- | --- | --- | --- |',
  ...RULES.map((rule) => row(rule, doing(rule))),
  ...TRANSLATIONS.map((rule) =>
    row(rule, rule.offered ? 'is offered, off by default' : 'translates the reference'),
  ),
];

/** The page with its table of rules as they are now. */
export function withRules(page: string): string {
  const [from, to] = [page.indexOf(START), page.indexOf(END)];
  if (from < 0 || to < 0) throw new Error('The page has no place for the rules.');
  return `${page.slice(0, from + START.length)}\n\n${rulesTable().join('\n')}\n\n${page.slice(to)}`;
}
