'use client';

import { useCallback, useState } from 'react';
import { useHelpKey } from './use-help-key';
import { Help, useReadyAhead } from './when-opened';

/** Help where no bar stands: by its key alone. */
export function HelpAtTheBench() {
  const [open, setOpen] = useState(false);
  useReadyAhead('help');
  useHelpKey(useCallback(() => setOpen(true), []));
  return open && <Help atTheBench close={() => setOpen(false)} />;
}
