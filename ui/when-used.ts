'use client';

/**
 * What is heavy loads beside the page and not before it: until its code is there it stands as the server drew it, and its forms do
 * not open (`KeptForm`).
 */
import dynamic from 'next/dynamic';

export const BedDrawing = dynamic(() =>
  import('./bed/bed-drawing').then((part) => part.BedDrawing),
);
export const StrungBed = dynamic(() => import('./bed/strung-bed').then((part) => part.StrungBed));
export const HowItPlayed = dynamic(() =>
  import('./court/how-it-played').then((part) => part.HowItPlayed),
);
export const Ruler = dynamic(() => import('./day/ruler').then((part) => part.Ruler));
export const HistoryChart = dynamic(() =>
  import('./history-chart').then((part) => part.HistoryChart),
);
export const LoadDesk = dynamic(() => import('./load/load-desk').then((part) => part.LoadDesk));
