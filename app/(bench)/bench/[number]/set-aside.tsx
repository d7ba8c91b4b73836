import type { AsideDeed } from './backlog';

/** What the server does not keep, so that somebody can write it down elsewhere before it goes. */
export function SetAside({
  deeds,
  forget,
}: {
  readonly deeds: readonly AsideDeed[];
  readonly forget: () => void;
}) {
  return (
    <details className="text-warn bench-notice">
      <summary className="cursor-pointer py-2">
        {deeds.length === 1 ? 'One entry is' : `${deeds.length} entries are`} set aside: the rest
        goes on
      </summary>
      <ul>
        {deeds.map(({ what, why }, i) => (
          <li key={i}>
            {what}. <span className="label">{why}</span>
          </li>
        ))}
      </ul>
      <button type="button" className="bench-target underline" onClick={forget}>
        I have seen it: let it go
      </button>
    </details>
  );
}
