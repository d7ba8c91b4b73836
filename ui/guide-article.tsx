import type { GuidePage } from './guide-page';

/** A page of the guide. Its text is a file of the application, and nobody's who writes in it. */
export function GuideArticle({ title, html }: GuidePage) {
  return (
    <article className="guide">
      <h1>{title}</h1>
      <div dangerouslySetInnerHTML={{ __html: html }} />
    </article>
  );
}
