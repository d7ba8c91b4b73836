import { useEffect } from 'react';
import { areSingleKeysOn, takesKeys } from '../single-keys';

/** `?` asks for help wherever no letters are typed. */
export function useHelpKey(ask: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (!takesKeys(event.target) && areSingleKeysOn()) ask();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [ask]);
}
