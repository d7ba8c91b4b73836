import { useEffect, useState } from 'react';
import { z } from 'zod';

const pageSchema = z.object({ title: z.string(), html: z.string() });

/** The guide's page for a place; nothing while it comes, or where it does not come. */
export function useGuide(place: string): z.infer<typeof pageSchema> | undefined {
  const [page, setPage] = useState<z.infer<typeof pageSchema>>();
  useEffect(() => {
    const leaving = new AbortController();
    fetch(`/guide/${place}/text`, { signal: leaving.signal })
      .then((answer) => answer.json())
      .then((answer) => setPage(pageSchema.parse(answer)))
      // Without a connection the keys are there all the same.
      .catch(() => undefined);
    return () => leaving.abort();
  }, [place]);
  return page;
}
