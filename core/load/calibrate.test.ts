import { describe, expect, it } from 'vitest';
import { usual } from '../testing/usual';
import { calibrate, predicted } from './calibrate';

describe('calipers', () => {
  // Source: a hoop whose stiffness is known because it was chosen; calipers read to a tenth of a millimetre.
  it.each([0.6, 1, 1.8])('tell the stiffness of a hoop of %s of the usual', (factor) => {
    const made = predicted(usual.job, factor);
    if (!made.ok) throw new Error(made.problem);
    const read = (change: { lengthMm: number; widthMm: number }) => ({
      lengthMm: Math.round(change.lengthMm * 10) / 10,
      widthMm: Math.round(change.widthMm * 10) / 10,
    });
    const found = calibrate(usual.job, {
      afterMains: read(made.value.afterMains),
      end: read(made.value.end),
    });
    expect(found.ok && Math.abs(found.value.factor / factor - 1)).toBeLessThan(0.12);
    expect(found.ok && found.value.errorMm).toBeLessThan(0.1);
  });

  it('are held against the mounts of the machine that the job is on', () => {
    const onTwo = { ...usual.job, machine: { ...usual.job.machine, mounts: 2 } } as const;
    const [six, two] = [usual.job, onTwo].map((job) => predicted(job, 1));
    if (!six?.ok || !two?.ok) throw new Error('no hoop');
    expect(two.value.afterMains.widthMm).toBeGreaterThan(six.value.afterMains.widthMm + 0.3);
  });

  it('that no hoop comes near to are refused', () => {
    const wrong = { afterMains: { lengthMm: 9, widthMm: -9 }, end: null };
    expect(calibrate(usual.job, wrong)).toMatchObject({ code: 'load.no such hoop' });
  });

  it('move a stiffer hoop less', () => {
    const [soft, stiff] = [0.7, 1.4].map((factor) => predicted(usual.job, factor));
    if (!soft?.ok || !stiff?.ok) throw new Error('no hoop');
    expect(Math.abs(stiff.value.afterMains.widthMm)).toBeLessThan(
      Math.abs(soft.value.afterMains.widthMm),
    );
  });
});
