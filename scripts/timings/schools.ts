/** `npm run bench -- schools`: what each way to string does over the whole library of frames, as docs/method.md tells it. */
import { studyFrame } from '@/core/frame/bed';
import { LIBRARY } from '@/core/frame/library';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { usualJobOn } from '@/core/load/usual-job';
import { loadFigures, stringInWay, WAYS, type LoadFigures } from '@/core/load/ways';
import { SPORTS } from '@/core/terms/sport';

/** Least, mean and most. */
const spread = (values: readonly number[], digits: number): string => {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return [Math.min(...values), mean, Math.max(...values)]
    .map((value) => value.toFixed(digits))
    .join(' / ');
};

const COLUMNS: readonly {
  readonly title: string;
  readonly digits: number;
  readonly of: (figures: LoadFigures) => number;
}[] = [
  { title: 'on the way, mm', digits: 2, of: ({ onTheWayMm }) => onTheWayMm },
  { title: 'width at the end, mm', digits: 2, of: ({ widthEndMm }) => widthEndMm },
  { title: 'mains, % of set', digits: 0, of: ({ mainsN }) => (100 * mainsN.final) / mainsN.set },
  {
    title: 'crosses, % of set',
    digits: 0,
    of: ({ crossesN }) => (100 * crossesN.final) / crossesN.set,
  },
  { title: '10 and 2, N·m', digits: 1, of: ({ momentTenAndTwoNm }) => momentTenAndTwoNm },
];

for (const sport of SPORTS) {
  const beds = LIBRARY.flatMap(({ spec }) =>
    spec.sport === sport ? (studyFrame(spec).bed ?? []) : [],
  );
  console.log(`\n${beds.length} ${sport} frames, least / mean / most\n`);
  console.log(`| way | frames | ${COLUMNS.map(({ title }) => title).join(' | ')} |`);
  console.log(`| --- | --- | ${COLUMNS.map(() => '---').join(' | ')} |`);
  for (const way of WAYS) {
    const all = beds.flatMap((bed) => {
      const strung = stringInWay(usualJobOn(bed, USUAL_HOUSE), way);
      return strung?.ok ? [loadFigures(strung.value.strung)] : [];
    });
    if (all.length > 0)
      console.log(
        `| ${way} | ${all.length} | ${COLUMNS.map(({ digits, of }) => spread(all.map(of), digits)).join(' | ')} |`,
      );
  }
}
