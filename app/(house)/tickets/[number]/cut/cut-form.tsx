'use client';

import { Link } from '@/ui/link';
import { measureWords } from '@/core/cut/measuring';
import { pathCautions } from '@/core/cut/methods';
import { coverWords, lengthWords } from '@/core/cut/wording';
import { BedKey } from '@/ui/bed/bed-key';
import { StrungBed } from '@/ui/bed/strung-bed';
import { Cautions } from '@/ui/cautions';
import { Facts } from '@/ui/facts';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { SkipFacts } from '@/ui/frame/skip-facts';
import { PartTable } from '@/ui/tape/part-table';
import { Tape } from '@/ui/tape/tape';
import { CutChoices } from './cut-choices';
import { CutFacts } from './cut-facts';
import { MethodTable } from './method-table';
import { useCut, type CutOf } from './use-cut';

/** The pieces of a job: on the drawing, on the tape and in figures, and the methods side by side. */
export function CutForm(of: CutOf) {
  const { bed, lengthSystem, save } = of;
  const { form, method, assumptions, plan, rows, covered, tape, advice, choose } = useCut(of);
  const { path, pieces } = plan;
  return (
    <KeptForm form={form} className="grid gap-8 lg:grid-cols-[minmax(24rem,0.8fr)_1fr]">
      <div className="flex min-w-0 flex-col gap-3">
        <StrungBed bed={bed} path={path} lengthSystem={lengthSystem} className="h-[36rem]" />
        <BedKey withPath />
        <Facts>
          <SkipFacts skips={bed.skips} />
        </Facts>
        <section aria-label="Covered holes">
          <h2 className="figure text-xl">Prepare before it is covered</h2>
          <p className="label">Pre-thread what needs the hole, or leave a scrap strand in it.</p>
          <ol className="mt-1 text-sm">
            {covered.length === 0 && <li>Nothing is covered that is still needed.</li>}
            {covered.map((each) => (
              <li key={coverWords(each)} className="border-hair border-t py-1">
                {coverWords(each)}
              </li>
            ))}
          </ol>
        </section>
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <div className="overflow-x-auto">
          <Tape pieces={tape} lengthSystem={lengthSystem} />
        </div>
        <p className="text-lg font-medium">{advice.word}</p>
        <Cautions
          cautions={[
            ...(advice.caution ? [advice.caution] : []),
            ...pathCautions(bed, path),
            ...(of.onShelf?.missing ?? []),
            ...of.doubts,
          ]}
        />
        {save && (
          <CutChoices
            form={form}
            bed={bed}
            path={path}
            hybrid={of.hybrid}
            machines={of.machines}
            choose={choose}
          />
        )}
        {save && (
          <FormFoot form={form} action="Save and go to the bench">
            <Link href={`/sheets/${of.number}`} className="underline">
              Work sheet
            </Link>
          </FormFoot>
        )}
        {of.onShelf && of.onShelf.cut.length > 0 && (
          <p className="label">
            <Link href="/shelf" className="underline">
              From the shelf
            </Link>
            : {of.onShelf.cut.join(' · ')}
          </p>
        )}
        <CutFacts
          bed={bed}
          path={path}
          mains={of.mains}
          crosses={of.crosses}
          tension={of.tension}
          assumptions={assumptions}
          lengthSystem={lengthSystem}
        />
        <section aria-label="Without a tape">
          <h2 className="figure text-xl">Without a tape</h2>
          {pieces.map((piece) => (
            <p key={piece.name} className="text-sm">
              {measureWords(bed, piece, assumptions, (mm) => lengthWords(mm, lengthSystem))}
            </p>
          ))}
        </section>
        <PartTable
          pieces={pieces}
          learnt={of.learnt}
          armSpanMm={assumptions.armSpanMm}
          lengthSystem={lengthSystem}
        />
        <MethodTable
          rows={rows}
          chosen={method}
          choose={save && choose}
          preference={of.preference}
          lengthSystem={lengthSystem}
        />
      </div>
    </KeptForm>
  );
}
