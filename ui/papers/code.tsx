/** One path of unit squares, with its quiet zone. */
export interface CodePath {
  readonly size: number;
  readonly d: string;
}

interface CodeProps {
  readonly path: CodePath;
  readonly label: string;
  readonly className?: string;
}

/** A square code that a phone reads. */
export function Code({ path: { size, d }, label, className }: CodeProps) {
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={label}
      className={className}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={d} fill="#000" />
    </svg>
  );
}
