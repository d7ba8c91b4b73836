'use client';

import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/**
 * False in the page as the server sent it, true once its code runs here. What would be lost before
 * that (typing, a press) waits for it.
 */
export const useAwake = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
