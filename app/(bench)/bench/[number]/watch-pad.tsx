'use client';

import { CodePad } from '@/app/(door)/code-pad';

export function WatchPad({
  faces,
}: {
  readonly faces: readonly { readonly personId: string; readonly name: string }[];
}) {
  return <CodePad faces={faces} door="/hands/watch" onDone={() => window.location.reload()} />;
}
