/** Who may do what as a table for docs/security.md, so that the page cannot fall behind the policy. */
import { ALL_DEEDS, may, ROLES } from '@/core/house/policy';

const START = '<!-- policy: written by npm run formats -->';
const END = '<!-- end of policy -->';

export const policyTable = (): readonly string[] => [
  `| deed | ${ROLES.join(' | ')} |`,
  `| --- | ${ROLES.map(() => '---').join(' | ')} |`,
  ...ALL_DEEDS.map(
    (deed) => `| ${deed} | ${ROLES.map((role) => (may(role, deed) ? 'yes' : '–')).join(' | ')} |`,
  ),
];

/** The page with its table as the policy is now. */
export function withPolicy(page: string): string {
  const [from, to] = [page.indexOf(START), page.indexOf(END)];
  if (from < 0 || to < 0) throw new Error('The page has no place for the policy.');
  return `${page.slice(0, from + START.length)}\n\n${policyTable().join('\n')}\n\n${page.slice(to)}`;
}
