'use client';

interface OneLinkProps {
  readonly link: string;
  readonly name: string;
  /** How long it is good. */
  readonly lasts: string;
}

/** Shown once, to be handed on. */
export function OneLink({ link, name, lasts }: OneLinkProps) {
  return (
    <p role="status" className="bg-sheet basis-full px-3 py-2">
      Give {name} this link; it is good once, for {lasts}, and is not shown again:
      <br />
      <code className="text-sm break-all">{`${window.location.origin}${link}`}</code>
    </p>
  );
}
