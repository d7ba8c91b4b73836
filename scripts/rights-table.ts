/** Who may do what as a table for docs/security.md, so that the page cannot fall behind the policy. */
import { ALL_RIGHTS, asksPassword, may, ROLES } from '@/core/house/role-rights';

const START = '<!-- policy: written by npm run formats -->';
const END = '<!-- end of policy -->';

export const rightsTable = (): readonly string[] => [
  `| right | ${ROLES.join(' | ')} | after a code |`,
  `| --- | ${ROLES.map(() => '---').join(' | ')} | --- |`,
  ...ALL_RIGHTS.map(
    (right) =>
      `| ${right} | ${ROLES.map((role) => (may(role, right) ? 'yes' : '–')).join(' | ')} | ${asksPassword(right) ? 'asks for the password' : 'yes'} |`,
  ),
];

/** The page with its table as the policy is now. */
export function withRights(page: string): string {
  const [from, to] = [page.indexOf(START), page.indexOf(END)];
  if (from < 0 || to < 0) throw new Error('The page has no place for the policy.');
  return `${page.slice(0, from + START.length)}\n\n${rightsTable().join('\n')}\n\n${page.slice(to)}`;
}
