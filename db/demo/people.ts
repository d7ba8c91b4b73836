import type { ClientFacts } from '../clients';
import type { Sport } from '@/core/sport';

interface Invented extends ClientFacts {
  readonly plays: Sport;
  /** How many rackets they own. */
  readonly rackets: number;
}

const person = (
  name: string,
  plays: Sport,
  rackets: number,
  notes = '',
  tensionUnit: 'kg' | 'lb' | null = null,
): Invented => ({
  name,
  plays,
  rackets,
  notes,
  tensionUnit,
  contact: `${name
    .toLowerCase()
    .split(' ')[0]
    ?.replace(/[^a-z]/g, '')}@skerrowmouth.example`,
});

/** All invented. The addresses are under .example, which belongs to nobody (RFC 2606). */
export const DEMO_PEOPLE: readonly Invented[] = [
  person('Ottiline Brackwether', 'tennis', 3, 'Elbow in spring; soft string since.'),
  person('Perran Tolvadden-Oake', 'tennis', 2, '', 'lb'),
  person('Ysolt Marrowgate', 'tennis', 2, 'Breaks monofilament in three weeks.'),
  person('Bastiaan Quillimore', 'tennis', 3, 'Club team; two rackets always alike.'),
  person('Hesper Dunnock-Vane', 'tennis', 2),
  person('Corvin Ashgrave', 'tennis', 1),
  person('Linnea Saltmarrow', 'tennis', 2, 'Left-handed, touch player.'),
  person('Tobin Fennelwick', 'tennis', 2),
  person('Marit Oskwold', 'tennis', 3, 'Travels; wants them by Thursday.', 'lb'),
  person('Jory Pellannick', 'tennis', 1, 'Junior, ten years old.'),
  person('Sunniva Karrholt', 'tennis', 2),
  person('Edrick Wrenhollow', 'tennis', 2, 'Plays at altitude in August.'),
  person('Delphine Orrowby', 'tennis', 2),
  person('Magnus Thistlebeck', 'tennis', 2),
  person('Kerensa Hawkmoor', 'tennis', 3),
  person('Anselm Griddle', 'tennis', 1),
  person('Roswitha Penhallam', 'tennis', 2, 'Shoulder; asks every time.'),
  person("Niamh O'Skerry", 'tennis', 2),
  person('Idris Cawdrell', 'tennis', 2),
  person('Wilhelmina Stour-Abbott', 'tennis', 1),
  person('Aoki Tarnsworthy', 'badminton', 3, 'League on Tuesdays.'),
  person('Benedetta Lurcombe', 'badminton', 2),
  person('Farid Gullsberry', 'badminton', 2, '', 'lb'),
  person('Mei Hollinrake-Fosse', 'badminton', 2),
  person('Solveig Brinewater', 'badminton', 2),
  person('Caspian Ruddock', 'squash', 2),
  person('Ferelith Maunder', 'squash', 2, 'Hits hard, breaks at the top.'),
  person('Gwilym Ostrander-Pike', 'squash', 2),
  person('Henrike Vossmoor', 'squash', 1),
  person('Lorcan Tidebarrow', 'squash', 2),
];
