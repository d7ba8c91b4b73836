/** What a session lacks that a short code has opened, or a password alone where that is not enough; and how it is said. */
import {
  asksPassword,
  isProven,
  type Right,
  type Role,
  type SessionProof,
} from '@/core/house/role-rights';

export const PROVE_FIRST =
  'You came in by a short code, which is for the work of the day. This asks for your password: press your name above, say it there, and try again.';

/** Sessions of before this was kept were all made by a password. */
export const proofOf = ({
  byCode,
  provenAt,
}: {
  readonly byCode?: boolean | null | undefined;
  readonly provenAt?: Date | null | undefined;
}): SessionProof => ({
  byCode: byCode ?? false,
  provenAt: provenAt ?? null,
});

interface Proven {
  readonly proof: SessionProof;
}

/** Whether somebody came in by a code and has not given their password just now. */
export const isUnproven = ({ proof }: Proven): boolean => !isProven(proof, new Date());

/** Whether somebody has to give their password before they do this. */
export const needsPassword = (person: Proven, right: Right): boolean =>
  asksPassword(right) && isUnproven(person);

export const SECOND_STEP_FIRST =
  'This workshop asks its owners for a second step. Press your name above, set it up there, and try again.';

interface AtWork {
  readonly role: Role;
  readonly workshop: { readonly ownersSecondStep: boolean };
  readonly person: { readonly hasSecondStep: boolean };
}

/** Whether an owner has to set their second step up before they go on. */
export const lacksSecondStep = ({ role, workshop, person }: AtWork): boolean =>
  role === 'owner' && workshop.ownersSecondStep && !person.hasSecondStep;
