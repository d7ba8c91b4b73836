'use client';

import { createContext, useContext, type ReactNode } from 'react';

const OnlySeen = createContext(false);

/** Whether this part of a page is there to look at, because somebody else changes it. */
export const useOnlySeen = (): boolean => useContext(OnlySeen);

/** What is inside is shown, and cannot be changed where it is only to be seen. */
export function Seen({ only, children }: { readonly only: boolean; readonly children: ReactNode }) {
  return (
    <OnlySeen value={only}>
      {only && <p className="label mb-3">This is to look at: your role here does not change it.</p>}
      {children}
    </OnlySeen>
  );
}
