import { useEffect, useState } from 'react';
import { guidePageSchema, type GuidePage } from '../guide-page';

/** The guide's page for a place; nothing while it comes, or where it does not come. */
export function useGuide(place: string): GuidePage | undefined {
  const [page, setPage] = useState<GuidePage>();
  useEffect(() => {
    const leaving = new AbortController();
    fetch(`/guide/${place}/text`, { signal: leaving.signal })
      .then((answer) => answer.json())
      .then((answer) => setPage(guidePageSchema.parse(answer)))
      // Without a connection the keys are there all the same.
      .catch(() => undefined);
    return () => leaving.abort();
  }, [place]);
  return page;
}
