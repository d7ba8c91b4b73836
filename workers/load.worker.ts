/** Strings a job in thought beside the interface: one way after the other, or one school after the other. */
import { jobOf, type JobQuestion } from '@/core/bench/job';
import { studyFrame } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import type { HouseRules } from '@/core/house/house-rules';
import { everySchool, schoolCost, type SchoolCost } from '@/core/load/schools';
import { otherEnd, stringInWay, WAYS, type OtherEnd, type Way } from '@/core/load/ways';
import { loadView, type LoadView } from './load-view';

export type LoadAsked =
  | {
      readonly asks: 'ways';
      readonly job: JobQuestion;
      readonly factor: number;
      readonly without: readonly Way[];
    }
  | {
      readonly asks: 'schools';
      readonly spec: FrameSpec;
      readonly house: HouseRules;
      readonly factor: number;
    };

export type LoadSaid =
  | { readonly is: 'at'; readonly words: string; readonly done: number; readonly of: number }
  | { readonly is: 'way'; readonly view: LoadView }
  | { readonly is: 'school'; readonly cost: SchoolCost }
  | { readonly is: 'other end'; readonly bears: OtherEnd }
  | { readonly is: 'done' };

const say = (said: LoadSaid) => postMessage(said);

addEventListener('message', ({ data }: MessageEvent<LoadAsked>) => {
  if (data.asks === 'ways') {
    const job = jobOf(data.job);
    const ways = WAYS.filter((way) => !data.without.includes(way));
    for (const [i, way] of ways.entries()) {
      say({ is: 'at', words: way, done: i, of: ways.length });
      const strung = stringInWay(job, way, data.factor);
      if (strung?.ok) say({ is: 'way', view: loadView(way, strung.value) });
    }
    const bears = otherEnd(job, data.factor);
    if (bears.ok) say({ is: 'other end', bears: bears.value });
  } else {
    const { bed } = studyFrame(data.spec);
    const all = bed ? everySchool(bed.spec.sport) : [];
    for (const [i, { question, school }] of all.entries()) {
      say({ is: 'at', words: school, done: i, of: all.length });
      const cost = bed && schoolCost(bed, data.house, question, school, data.factor);
      if (cost?.ok) say({ is: 'school', cost: cost.value });
    }
  }
  say({ is: 'done' });
});
