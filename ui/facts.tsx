import clsx from 'clsx';
import type { ReactNode } from 'react';

/** A short list of named facts, hairlines between them. */
export function Facts({
  children,
  className,
}: {
  readonly children: ReactNode;
  readonly className?: string;
}) {
  return <dl className={clsx('grid grid-cols-2 gap-x-6', className)}>{children}</dl>;
}

interface FactProps {
  readonly name: string;
  readonly children: ReactNode;
  readonly note?: string | undefined;
  /** Set large, because somebody reads it at arm's length. */
  readonly figure?: boolean;
}

export function Fact({ name, children, note, figure = false }: FactProps) {
  return (
    <div className="border-hair border-t py-2">
      <dt className="label">{name}</dt>
      <dd className={figure ? 'figure text-3xl leading-tight' : undefined}>{children}</dd>
      {note && <dd className="label">{note}</dd>}
    </div>
  );
}
