'use client';

/** Shown once, to be handed on. */
export function PasswordLink({ link, name }: { readonly link: string; readonly name: string }) {
  return (
    <p role="status" className="bg-sheet basis-full px-3 py-2">
      Give {name} this link; it is good once, for three days, and is not shown again:
      <br />
      <code className="text-sm break-all">{`${window.location.origin}${link}`}</code>
    </p>
  );
}
