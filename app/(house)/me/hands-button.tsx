'use client';

import { changeHands } from '@/app/identity/lock-screen';
import { useAwake } from '@/ui/use-awake';

export function HandsButton() {
  const awake = useAwake();
  return (
    <button type="button" disabled={!awake} onClick={changeHands} className="min-h-6 underline">
      Change hands
    </button>
  );
}
