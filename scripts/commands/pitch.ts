/** The pitch of a tapped bed in a WAV file. */
import { roundTo } from '@/core/measure/units';
import { bedPitch } from '@/core/sound/pitch';
import { readSound } from '@/formats/sound-file';
import { bytesOf, print, valueOf } from './command';

export function pitch(file: string, json: boolean): void {
  const { samples, rate } = valueOf(file, readSound(bytesOf(file)));
  const { hz, sure, note, tapsHz } = valueOf(file, bedPitch(samples, rate));
  if (json)
    print({ hz: roundTo(hz, 0.01), sure, note, taps: tapsHz.map((each) => roundTo(each, 0.01)) });
  else console.log(`${hz.toFixed(1)} Hz, ${sure ? 'sure' : 'not sure'}. ${note}`);
}
