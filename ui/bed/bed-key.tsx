import type { ReactNode } from 'react';

function Entry({ children, text }: { readonly children: ReactNode; readonly text: string }) {
  return (
    <li className="flex items-center gap-1.5">
      <svg viewBox="-6 -6 12 12" className="size-5 shrink-0" aria-hidden>
        {children}
      </svg>
      {text}
    </li>
  );
}

/** What the marks of the bed drawing mean. */
export function BedKey({ withPath = false }: { readonly withPath?: boolean }) {
  return (
    <ul className="label flex flex-wrap gap-x-4 gap-y-1">
      <Entry text="main">
        <circle r={3} className="fill-paper stroke-mains" strokeWidth={1.2} />
      </Entry>
      <Entry text="cross">
        <rect
          x={-3}
          y={-3}
          width={6}
          height={6}
          className="fill-paper stroke-crosses-ink"
          strokeWidth={1.2}
        />
      </Entry>
      <Entry text="skip">
        <rect
          x={-3}
          y={-3}
          width={6}
          height={6}
          className="fill-crosses stroke-crosses-ink"
          strokeWidth={1.2}
        />
      </Entry>
      <Entry text="shared">
        <rect
          x={-3.4}
          y={-3.4}
          width={6.8}
          height={6.8}
          className="fill-paper stroke-crosses-ink"
          strokeWidth={1.2}
        />
        <circle r={2} className="fill-paper stroke-mains" strokeWidth={1.2} />
      </Entry>
      <Entry text="tie-off">
        <circle r={5} className="stroke-ink fill-none" />
        <circle r={2.4} className="fill-paper stroke-mains" strokeWidth={1.2} />
      </Entry>
      {withPath && (
        <>
          <Entry text="covered, prepare it">
            <circle r={3} className="fill-paper stroke-mains" strokeWidth={1.2} />
            <path d="M-5-5 5 5" className="stroke-ink" strokeWidth={1.4} />
          </Entry>
          <Entry text="knot">
            <path d="M0-5 5 0 0 5-5 0Z" className="fill-mains" />
          </Entry>
        </>
      )}
    </ul>
  );
}
