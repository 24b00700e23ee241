import type { Schemas } from "../../shared/api/client";
import { number } from "../../shared/units/format";

const DEPTH = 34;

/** Baths by the area they have taken, and the boxes of paper. */
export function WetSide(props: { bench: Schemas["BenchView"] }) {
  return (
    <aside className="wet-side" aria-label="Baths and paper">
      <h2>Wet side</h2>
      {props.bench.baths.length === 0 && <p className="wet-note">No bath is entered.</p>}
      <ul>
        {props.bench.baths.map((bath) => (
          <li key={bath.id}>
            <Tray left={Math.max(0, 1 - bath.usedShare)} />
            <div>
              <strong>{bath.name}</strong>
              <span>
                {age(bath.mixedAt, props.bench.clock)}, {Math.round(100 * bath.usedShare)} % used
                {bath.usedShare > 0.7 && `: ${String(bath.sheetsLeft)} sheets left`}
              </span>
            </div>
          </li>
        ))}
      </ul>
      <h2>Paper</h2>
      {props.bench.papers.length === 0 && <p className="wet-note">No box is on the shelf.</p>}
      <ul>
        {props.bench.papers.map((paper) => (
          <li key={paper.id}>
            <Box share={paper.counted ? paper.sheetsLeft / paper.sheetsInBox : 0} />
            <div>
              <strong>{paper.name}</strong>
              <span>
                {!paper.counted
                  ? `${paper.batch}, not counted`
                  : paper.sheetsLeft <= paper.reserveSheets
                    ? `${number(Math.floor(paper.sheetsLeft))} left: your reserve`
                    : `${number(Math.floor(paper.sheetsLeft))} of ${String(paper.sheetsInBox)}, ${paper.batch}`}
              </span>
            </div>
          </li>
        ))}
      </ul>
      <p className="wet-note">
        Area counts from the sheets hung here; a sheet is 20 × 25 cm. Air the room. Gloves and tongs. Follow
        the product's safety data sheet.
      </p>
    </aside>
  );
}

function age(mixedAt: string, clock: string): string {
  const minutes = Math.max(0, Math.round((Date.parse(clock) - Date.parse(mixedAt)) / 60_000));
  if (minutes < 60) return `${String(minutes)} min`;
  if (minutes < 48 * 60) return `${String(Math.floor(minutes / 60))} h ${String(minutes % 60)}`;
  return `${String(Math.floor(minutes / 1440))} days`;
}

function Tray(props: { left: number }) {
  const top = 4 + DEPTH * (1 - props.left);
  const inset = (y: number) => 3 + (y / DEPTH) * 7;
  return (
    <svg width="82" height="44" viewBox="0 0 82 44" aria-hidden="true" className="tray">
      <path
        className="liquid"
        d={`M ${String(inset(top))} ${String(top)} H ${String(82 - inset(top))} L 72 38 H 10 Z`}
      />
      <path d="M 2 4 L 10 38 H 72 L 80 4" />
    </svg>
  );
}

function Box(props: { share: number }) {
  const sheets = Math.max(props.share > 0 ? 1 : 0, Math.round(8 * Math.min(1, props.share)));
  return (
    <svg width="82" height="38" viewBox="0 0 82 38" aria-hidden="true" className="tray">
      <rect x="4" y="3" width="74" height="31" />
      {Array.from({ length: sheets }, (_, i) => (
        <path key={i} d={`M 9 ${String(31 - i * 3)} H 73`} />
      ))}
    </svg>
  );
}
