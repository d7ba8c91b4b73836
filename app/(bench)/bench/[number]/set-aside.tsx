import type { AsideEvent } from './backlog';

/** What the server does not keep, so that somebody can write it down elsewhere before it goes. */
export function SetAside({
  events,
  forget,
}: {
  readonly events: readonly AsideEvent[];
  readonly forget: () => void;
}) {
  return (
    <details className="text-warn bench-notice">
      <summary className="cursor-pointer py-2">
        {events.length === 1 ? 'One event is' : `${events.length} events are`} set aside: the rest
        goes on
      </summary>
      <ul>
        {events.map(({ what, why }, i) => (
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
