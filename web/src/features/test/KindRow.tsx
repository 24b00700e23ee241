import type { SlateContext } from "../../app/SlateFrame";
import { useKeys } from "../../shared/keys/keys";

/** What lies on the easel, drawn in a frame of 72 by 26. */
const DRAWN: Record<string, React.ReactNode> = {
  STRIP: (
    <>
      {[0, 1, 2, 3, 4].map((i) => (
        <rect key={i} x={8 + 11 * i} y={5} width={11} height={16} style={{ fillOpacity: 0.15 + 0.18 * i }} />
      ))}
    </>
  ),
  SAME_SPOT: (
    <>
      <rect x={27} y={2} width={18} height={22} />
      <path d="M4 8h20M4 18h20M48 8h20M48 18h20" strokeDasharray="2 3" />
    </>
  ),
  OPENINGS: (
    <>
      {[2.5, 4, 5.5, 7.5].map((r, i) => (
        <circle key={r} cx={12 + 16 * i} cy={13} r={r} />
      ))}
    </>
  ),
  WEDGE: (
    <>
      <circle cx={36} cy={13} r={11} />
      <path d="M36 2v22M25 13h22M28.2 5.2l15.6 15.6M28.2 20.8L43.8 5.2" />
    </>
  ),
  GUESS: <rect x={22} y={2} width={28} height={22} />,
  PIECES: (
    <>
      <path d="M10 7l4-4h10v20H10z" />
      <path d="M30 3h10l4 4v16H30z" />
      <path d="M50 3h14v16l-4 4H50z" />
    </>
  ),
};

/** The kinds of test, as they lie on the easel; each has its key. */
export function KindRow({ slate, edit }: SlateContext) {
  const take = (kind: string) => {
    if (kind !== slate.test.plan.kind) edit.mutate({ test: { kind } });
  };
  useKeys(Object.fromEntries(slate.test.kinds.map((k) => [k.key, () => take(k.id)])));
  return (
    <div className="kinds" role="radiogroup" aria-label="Kind of test">
      {slate.test.kinds.map((kind) => (
        <button
          key={kind.id}
          type="button"
          role="radio"
          aria-checked={kind.id === slate.test.plan.kind}
          onClick={() => take(kind.id)}
        >
          <svg viewBox="0 0 72 26" aria-hidden="true">
            {DRAWN[kind.id]}
          </svg>
          <span>
            {kind.label} <kbd>{kind.key.toUpperCase()}</kbd>
          </span>
        </button>
      ))}
    </div>
  );
}
