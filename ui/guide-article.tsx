interface GuideArticleProps {
  readonly title: string;
  readonly html: string;
}

/** A page of the guide. Its text is a file of the application, and nobody's who writes in it. */
export function GuideArticle({ title, html }: GuideArticleProps) {
  return (
    <article className="guide">
      <h1>{title}</h1>
      <div dangerouslySetInnerHTML={{ __html: html }} />
    </article>
  );
}
