import { LOOKS, type LastLook } from '@/core/reading/last-look';
import { english, message } from '@/core/terms/words/english';

/** What a last look found, in a line. */
export function LookWords({ look }: { readonly look: LastLook | null }) {
  if (!look) return <>not taken</>;
  const amiss = LOOKS.filter((each) => look[each] !== 'good').map(
    (each) => `${english(message(`look.${each}`)).toLowerCase()}: ${look[each]}`,
  );
  const found = amiss.length === 0 ? 'all good at once' : amiss.join('; ');
  return <>{look.hz === null ? found : `${found}; rang at ${look.hz} Hz`}</>;
}
