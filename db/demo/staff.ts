import type { Role } from '@/core/house/role-rights';
import { hashCode } from '../codes';
import type { Connection } from '../connection';
import { people } from '../doors-schema';
import { members } from '../workshop-schema';

interface Invented {
  readonly name: string;
  readonly username: string;
  readonly role: Role;
  /** The short code on a trusted device. */
  readonly code: string;
}

/** Who works at the demo's workshop; all invented, and without a password: the demo's own page lets them in. */
export const DEMO_STAFF: readonly Invented[] = [
  { name: 'Hesper Quillmere', username: 'hesper', role: 'owner', code: '4071' },
  { name: 'Tobin Ravelstock', username: 'tobin', role: 'stringer', code: '5182' },
  { name: 'Maud Ferrowby', username: 'maud', role: 'counter', code: '6293' },
  { name: 'Wick Ellerdune', username: 'wick', role: 'learner', code: '7304' },
];

export async function fillStaff(db: Connection, workshopId: string): Promise<void> {
  for (const { name, username, role, code } of DEMO_STAFF) {
    const [person] = await db
      .insert(people)
      .values({
        name,
        username,
        displayUsername: username,
        email: `${username}@netloft.example`,
      })
      .returning({ id: people.id });
    if (person)
      await db
        .insert(members)
        .values({ workshopId, personId: person.id, role, codeHash: await hashCode(code) });
  }
}
