'use client';

import { Printer } from 'lucide-react';

/** Opens the browser's own print dialog, which also saves as PDF. */
export function PrintButton() {
  return (
    <button
      type="button"
      onClick={() => window.print()}
      className="bg-ink text-paper flex items-center gap-2 px-5 py-2 font-medium"
    >
      <Printer aria-hidden className="size-4" />
      Print, or save as PDF
    </button>
  );
}
