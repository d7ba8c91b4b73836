import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it, vi } from 'vitest';
import wavefile from 'wavefile';
import { chanceFrom } from '@/core/maths/chance';
import { tappedBed } from '@/core/testing/tapped';
import type { PlanData } from '@/formats/plan-report';
import { obey } from './commands/line';
import { ROOT } from './house';

const FRAME = {
  format: 'orthotens-frame/1',
  name: 'A frame',
  sport: 'tennis',
  head: { lengthMm: 336, widthMm: 248, outline: 'oval' },
  pattern: { mains: 16, crosses: 19 },
  bridgeHoles: 8,
  holes: { head: { skip: [7, 9] }, throat: { skip: [7, 9] }, tieOff: ['8H', '6H', '6T'] },
};

/** As a process of its own. */
function orthotens(args: readonly string[], input: unknown) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'scripts/orthotens.ts', ...args],
    {
      cwd: ROOT,
      input: typeof input === 'string' ? input : JSON.stringify(input),
      encoding: 'utf8',
    },
  );
  return { status, stdout, stderr };
}

/** Without a process, which takes two seconds to start: what it prints, and its code. */
function obeyed(args: readonly string[], input: unknown) {
  const said = { stdout: '', stderr: '' };
  const end = vi.spyOn(process, 'exit').mockImplementation((code) => {
    throw new Ended(Number(code));
  });
  const out = vi.spyOn(console, 'log').mockImplementation((text: string) => {
    said.stdout += `${text}\n`;
  });
  const err = vi.spyOn(console, 'error').mockImplementation((text: string) => {
    said.stderr += `${text}\n`;
  });
  const folder = mkdtempSync(join(tmpdir(), 'orthotens-'));
  const file = join(folder, 'input');
  writeFileSync(file, typeof input === 'string' ? input : JSON.stringify(input));
  try {
    obey(args.map((each) => (each === '-' ? file : each)));
    return { ...said, status: 0 };
  } catch (error) {
    if (!(error instanceof Ended)) throw error;
    return { ...said, status: error.code };
  } finally {
    rmSync(folder, { recursive: true });
    for (const spy of [end, out, err]) spy.mockRestore();
  }
}

class Ended extends Error {
  constructor(readonly code: number) {
    super();
  }
}

describe('the command without the interface', () => {
  it('plans two pieces as an object for programs', () => {
    const { status, stdout } = orthotens(['plan', '-', '--method', 'two-piece', '--json'], FRAME);
    expect(status).toBe(0);
    const plan = JSON.parse(stdout) as PlanData;
    expect(plan.mains).toEqual({ start: 'head', finish: 'head' });
    expect(plan.skips).toEqual({ head: [7, 9], throat: [7, 9] });
    expect(plan.pieces.map(({ name }) => name)).toEqual(['mains', 'crosses']);
    for (const { cutMm, parts } of plan.pieces)
      expect(Object.values(parts).reduce((a, b) => a + b)).toBeCloseTo(cutMm, 0);
    // Source: practice (16 mains from the head: three knots at the head, one at the throat).
    expect(plan.knots.map(({ end, ties }) => `${end} ${ties}`)).toEqual([
      'head main',
      'head main',
      'head cross',
      'throat cross',
    ]);
    expect(plan.covered[0]).toMatchObject({ hole: '7H', side: 'right', before: 'M7R' });
    expect(plan.cautions).toEqual([]);
  });

  it('prints for people, by another method and side', () => {
    const { status, stdout } = orthotens(
      ['plan', '-', '--method', 'one-piece', '--short-side', 'right'],
      FRAME,
    );
    expect(status).toBe(0);
    expect(stdout).toContain('Knots: 1 at the head, 1 at the throat (mains: 8H right');
    expect(stdout).toMatch(/Cut one piece: 1\d\.\d\d m, 3\d ft/);
  });

  it('studies a frame whose skips nobody has read', () => {
    const { stdout } = obeyed(['study', '-', '--json'], { ...FRAME, holes: undefined });
    expect(JSON.parse(stdout)).toMatchObject({
      skips: { head: [7, 9], throat: [7, 9] },
      proposal: { from: 'usual spacing' },
    });
  });

  it('hears the pitch of a tapped bed in a WAV file', () => {
    const taps = tappedBed(chanceFrom(3), {
      hz: 512.3,
      at: [0.3, 0.9, 1.5],
      seconds: 2.2,
      rate: 44_100,
      decayS: 0.1,
      signalToNoiseDb: 20,
    });
    const wav = new wavefile.WaveFile();
    wav.fromScratch(
      1,
      44_100,
      '16',
      Array.from(taps, (sample) => Math.round(sample * 32_767)),
    );
    const folder = mkdtempSync(join(tmpdir(), 'orthotens-'));
    const file = join(folder, 'taps.wav');
    writeFileSync(file, wav.toBuffer());
    const { status, stdout } = obeyed(['pitch', file, '--json'], '');
    rmSync(folder, { recursive: true });
    expect(status).toBe(0);
    const { hz, sure } = JSON.parse(stdout) as { hz: number; sure: boolean };
    expect(Math.abs(hz / 512.3 - 1)).toBeLessThan(0.005);
    expect(sure).toBe(true);
  });

  // Source: balance = Σmx/Σm and the parallel-axis theorem; the way back gives what was put on.
  it('works a balance out, and the masses that it takes back', () => {
    const racket = { massG: 300, balanceMm: 320, swingKgCm2: 300 };
    const there = obeyed(['balance', '-', '--json'], {
      racket,
      parts: [{ massG: 10, atMm: 600 }],
    });
    expect(JSON.parse(there.stdout)).toMatchObject({
      after: { massG: 310, balanceMm: 329.032, swingKgCm2: 325 },
    });
    const back = obeyed(['balance', '-', '--json'], {
      racket,
      target: { massG: 310, balanceMm: 329.032, swingKgCm2: 325 },
      places: [{ name: 'tip', atMm: 600, mostG: 20 }],
    });
    expect(JSON.parse(back.stdout)).toMatchObject({
      reached: true,
      masses: [{ name: 'tip', massG: 10 }],
    });
  });

  // Source: common practice: the bow points to where there were no crosses yet.
  it('reads a finished bed, by its frame or by what the frame asks for', () => {
    const seen = { crossBow: { towards: 'head', mm: 4.5 } };
    const byFrame = obeyed(['read-bed', '-', '--json'], { frame: FRAME, seen });
    expect(JSON.parse(byFrame.stdout)).toMatchObject({
      toDo: 'watch',
      stories: [
        {
          story: 'crosses from the throat up',
          for: ['the crosses bow 4.5 mm towards the head'],
        },
        {},
        {},
        {},
        {},
        {},
        {},
        {},
        {},
        {},
        {},
        {},
      ],
    });
    const bed = { mains: 18, mainsFinish: 'throat' };
    const byFacts = obeyed(['read-bed', '-'], { bed, seen: { mains: 17 } });
    expect(byFacts.stdout).toMatch(
      /^\d+ %  The mains piece was too short, and was patched: one main is missing$/m,
    );
    expect(byFacts.stdout).toContain('Watch it');
  });

  it('ends a process with code 2 and its sentence where the input is bad', () => {
    expect(orthotens(['study', '-'], '{"format":')).toMatchObject({ status: 2, stdout: '' });
  });

  it.each([
    [['plan', '-', '--method', 'around-the-frame'], FRAME, 'nothing to go around'],
    [['plan', '-', '--method', 'three-piece'], FRAME, 'one of two-piece'],
    [['plan', '-', '--short-side', 'up'], FRAME, '--short-side'],
    [['plan', '-', '--gauge', '9'], FRAME, 'tennis'],
    [['study', '-'], { ...FRAME, pattern: { mains: 17, crosses: 19 } }, 'line 1: Mains come in'],
    [['study', '-'], '{"format":', 'line 1'],
    [['pitch', '-'], 'no sound', 'no sound that can be read'],
    [['balance', '-'], { racket: { massG: 300, balanceMm: 320 } }, 'swing weight'],
    [['read-bed', '-'], { seen: {} }, 'either the frame'],
    [['read-bed', '-'], { bed: { mains: 17, mainsFinish: 'head' }, seen: {} }, 'bed.mains'],
    [['study', 'no-such-file.json'], '', 'cannot be read'],
    [['restring', '-'], FRAME, 'Say study FRAME.json'],
    [['study', '-', '--loud'], FRAME, 'Unknown option'],
  ])('%j answers bad input with one sentence and code 2', (args, input, part) => {
    const { status, stdout, stderr } = obeyed(args, input);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain(part);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});
