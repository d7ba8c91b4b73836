import { may, type Role } from '@/core/house/role-rights';

/** Where a job is done again: on one page by who settles strings and tension, at the counter by who takes in. */
export const sameAgain = (role: Role, number: number): string =>
  may(role, 'set up') ? `/short?again=${number}` : `/take-in?again=${number}`;
