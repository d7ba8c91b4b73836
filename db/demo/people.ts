import type { Sport } from '@/core/terms/sport';
import { SILENT, type Talk } from '@/core/advice/talk';
import type { ClientFacts } from '../clients';

interface Invented extends ClientFacts {
  readonly plays: Sport;
  /** How many rackets they own. */
  readonly rackets: number;
  readonly talk: Talk | null;
}

const person = (
  name: string,
  plays: Sport,
  rackets: number,
  notes = '',
  tensionUnit: 'kg' | 'lb' | null = null,
  talk?: Partial<Talk>,
): Invented => ({
  name,
  plays,
  rackets,
  notes,
  tensionUnit,
  talk: talk ? { ...SILENT, ...talk } : null,
  contact: `${name
    .toLowerCase()
    .split(' ')[0]
    ?.replace(/[^a-z]/g, '')}@skerrowmouth.example`,
});

/** All invented. The addresses are under .example, which belongs to nobody (RFC 2606). */
export const DEMO_PEOPLE: readonly Invented[] = [
  person('Ottiline Brackwether', 'tennis', 3, 'Elbow in spring; soft string since.', null, {
    age: 'adult',
    level: 'club',
    style: 'flat',
    playsAWeek: 2,
    breaks: 'in months',
    arm: 'before',
    armPart: 'elbow',
    wants: ['comfort'],
    court: 'outdoors',
    budget: 'middle',
    season: 'winter',
  }),
  person('Perran Tolvadden-Oake', 'tennis', 2, '', 'lb', {
    level: 'advanced',
    swing: 'fast',
    playsAWeek: 4,
    breaks: 'in weeks',
    wants: ['control'],
  }),
  person('Ysolt Marrowgate', 'tennis', 2, 'Breaks monofilament in three weeks.', null, {
    level: 'advanced',
    swing: 'fast',
    style: 'spin',
    playsAWeek: 3,
    breaks: 'in weeks',
    wants: ['spin'],
  }),
  person('Bastiaan Quillimore', 'tennis', 3, 'Club team; two rackets always alike.', null, {
    level: 'performance',
    swing: 'fast',
    style: 'spin',
    playsAWeek: 5,
    breaks: 'in days',
    wants: ['control', 'life'],
    budget: 'open',
  }),
  person('Hesper Dunnock-Vane', 'tennis', 2),
  person('Corvin Ashgrave', 'tennis', 1, '', null, {
    level: 'club',
    swing: 'medium',
    playsAWeek: 1,
    breaks: 'never',
    arm: 'well',
    wants: ['power'],
    budget: 'low',
  }),
  person('Linnea Saltmarrow', 'tennis', 2, 'Left-handed, touch player.', null, {
    level: 'advanced',
    style: 'touch',
    playsAWeek: 2,
    breaks: 'never',
    budget: 'open',
    wants: ['comfort'],
  }),
  person('Tobin Fennelwick', 'tennis', 2),
  person('Marit Oskwold', 'tennis', 3, 'Travels; wants them by Thursday.', 'lb'),
  person('Jory Pellannick', 'tennis', 1, 'Junior, ten years old.', null, {
    age: 'junior',
    level: 'beginner',
    swing: 'slow',
    playsAWeek: 2,
    breaks: 'never',
    budget: 'low',
  }),
  person('Sunniva Karrholt', 'tennis', 2),
  person('Edrick Wrenhollow', 'tennis', 2, 'Plays at altitude in August.', null, {
    level: 'club',
    swing: 'medium',
    playsAWeek: 2,
    altitudeM: 1900,
    season: 'summer',
  }),
  person('Delphine Orrowby', 'tennis', 2),
  person('Magnus Thistlebeck', 'tennis', 2),
  person('Kerensa Hawkmoor', 'tennis', 3),
  person('Anselm Griddle', 'tennis', 1),
  person('Roswitha Penhallam', 'tennis', 2, 'Shoulder; asks every time.', null, {
    age: 'older',
    level: 'club',
    playsAWeek: 2,
    arm: 'now',
    armPart: 'shoulder',
    wants: ['comfort'],
  }),
  person("Niamh O'Skerry", 'tennis', 2),
  person('Idris Cawdrell', 'tennis', 2),
  person('Wilhelmina Stour-Abbott', 'tennis', 1),
  person('Aoki Tarnsworthy', 'badminton', 3, 'League on Tuesdays.', null, {
    level: 'advanced',
    playsAWeek: 3,
    breaks: 'in weeks',
    wants: ['power'],
  }),
  person('Benedetta Lurcombe', 'badminton', 2),
  person('Farid Gullsberry', 'badminton', 2, '', 'lb'),
  person('Mei Hollinrake-Fosse', 'badminton', 2, '', null, {
    level: 'club',
    playsAWeek: 2,
    wants: ['power', 'control'],
  }),
  person('Solveig Brinewater', 'badminton', 2),
  person('Caspian Ruddock', 'squash', 2),
  person('Ferelith Maunder', 'squash', 2, 'Hits hard, breaks at the top.', null, {
    level: 'advanced',
    swing: 'fast',
    playsAWeek: 3,
    breaks: 'in weeks',
    wants: ['life'],
  }),
  person('Gwilym Ostrander-Pike', 'squash', 2),
  person('Henrike Vossmoor', 'squash', 1),
  person('Lorcan Tidebarrow', 'squash', 2),
];
