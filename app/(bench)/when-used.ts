'use client';

/**
 * What is heavy loads beside the page and not before it: until its code is there it stands as the server drew it, and its forms do
 * not open (`KeptForm`).
 */
import dynamic from 'next/dynamic';

export const BenchView = dynamic(() =>
  import('./bench/[number]/bench-view').then((part) => part.BenchView),
);
export const WatchPad = dynamic(() =>
  import('./bench/[number]/watch-pad').then((part) => part.WatchPad),
);
export const PracticeView = dynamic(() =>
  import('./practice/[id]/practice-view').then((part) => part.PracticeView),
);
