import { TextField } from '@/ui/form/field';
import type { FrameEntry } from './frame-entry';
import type { FrameForm } from './use-frame-form';

interface RuledFieldsProps {
  readonly form: FrameForm['form'];
  readonly initial: FrameEntry;
}

/** What checks the count: the outermost mains' holes, and distances read off a ruler. */
export function RuledFields({ form, initial }: RuledFieldsProps) {
  return (
    <>
      <details
        className="mt-4"
        open={Boolean(initial.headOutermost || initial.throatOutermost) || undefined}
      >
        <summary className="label cursor-pointer underline">Checked by counting</summary>
        <div className="mt-3 grid grid-cols-2 gap-3">
          <TextField
            figure
            label="Outermost main at the head"
            placeholder="10"
            hint="The hole it goes through."
            {...form.field('headOutermost')}
          />
          <TextField
            figure
            label="Outermost main at the throat"
            placeholder="10"
            {...form.field('throatOutermost')}
          />
        </div>
      </details>
      <details
        className="mt-3"
        open={Boolean(initial.headMm || initial.sideMm || initial.throatMm) || undefined}
      >
        <summary className="label cursor-pointer underline">
          Ruled distances, when you have a ruler
        </summary>
        <div className="mt-3 grid gap-3">
          <TextField
            label="Holes at the head, from the centre line (mm)"
            placeholder="6 17.5 29 41 54 67 75 81 89 95"
            hint="One half, from the centre outwards; skips with them."
            {...form.field('headMm')}
          />
          <TextField
            label="Holes along the side, below the inside of the tip (mm)"
            placeholder="67 82 96.5 …"
            {...form.field('sideMm')}
          />
          <TextField
            label="Holes at the throat, from the centre line (mm)"
            {...form.field('throatMm')}
          />
        </div>
      </details>
    </>
  );
}
