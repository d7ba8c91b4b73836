'use client';

import { useEffect } from 'react';

/** Stands last in the page: once its effect runs, all that is beside it answers, and what was pressed before is done. */
export function PageAwake() {
  useEffect(() => (window as { orthotensAwake?: () => void }).orthotensAwake?.(), []);
  return null;
}
