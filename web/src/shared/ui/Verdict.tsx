import type { ReactNode } from "react";

/** The one short dark block a station ends in: what to do, why, the action, the way not taken. */
export function Verdict(props: {
  headline: string;
  why: string;
  restsOn?: readonly string[];
  error?: string | undefined;
  children?: ReactNode;
}) {
  return (
    <section className="verdict" aria-label="Verdict">
      <h2>{props.headline}</h2>
      <p>{props.why}</p>
      {props.restsOn && props.restsOn.length > 0 && (
        <details>
          <summary>What this rests on</summary>
          <ul>
            {props.restsOn.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
      {props.error && (
        <p className="verdict-error" role="alert">
          {props.error}
        </p>
      )}
      {props.children && <div className="verdict-actions">{props.children}</div>}
    </section>
  );
}
