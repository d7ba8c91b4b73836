/** A drawing as a file to keep or to print. */
export const drawingAnswer = (svg: string, name: string): Response =>
  new Response(svg, {
    headers: {
      'Content-Type': 'image/svg+xml; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}.svg"`,
    },
  });
