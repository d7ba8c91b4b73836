'use client';

import { useCallback, useRef, useState } from 'react';

/** One tone when the pull is there, two when care is due. */
const TONES = { there: [880], care: [440, 330] } as const;

/** Sounds of the bench; silent until somebody turns them on. */
export function useSound() {
  const [on, setOn] = useState(false);
  const audio = useRef<AudioContext>(undefined);
  const play = useCallback(
    (what: keyof typeof TONES) => {
      if (!on) return;
      audio.current ??= new AudioContext();
      const { currentTime, destination } = audio.current;
      for (const [i, hertz] of TONES[what].entries()) {
        const tone = audio.current.createOscillator();
        const loud = audio.current.createGain();
        loud.gain.value = 0.15;
        tone.frequency.value = hertz;
        tone.connect(loud).connect(destination);
        tone.start(currentTime + 0.18 * i);
        tone.stop(currentTime + 0.18 * i + 0.12);
      }
    },
    [on],
  );
  return { on, turn: useCallback(() => setOn((was) => !was), []), play };
}
