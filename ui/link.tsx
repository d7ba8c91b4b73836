import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A way to another page. It is asked for when somebody goes there, not when it comes into sight: every page is
 * read afresh from the records, so what was fetched ahead would be thrown away, forty answers for each page.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => (
  <NextLink prefetch={false} {...props} />
);
