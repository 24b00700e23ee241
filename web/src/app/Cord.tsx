import { Link } from "react-router";
import { type SheetView, type SlateView, sheetPicture } from "../shared/api/client";
import { seconds } from "../shared/units/format";
import { partsText, thirdsText } from "../shared/units/parts";

const HEIGHT = 62;

/** The sheets in the order they were made, what changed between them, and the empty one that is next. */
export function Cord(props: { slate: SlateView; chosen?: string | undefined }) {
  const { slate } = props;
  return (
    <header className="cord" aria-label="Sheets made so far">
      <svg className="cord-line" viewBox="0 0 1000 24" preserveAspectRatio="none" aria-hidden="true">
        <path d="M0 2 Q 500 32 1000 2" />
      </svg>
      <ol>
        {slate.sheets.map((sheet, i) => (
          <Hung
            key={sheet.id}
            slate={slate}
            sheet={sheet}
            first={i === 0}
            chosen={sheet.id === props.chosen}
          />
        ))}
        <NextSheet slate={slate} />
      </ol>
    </header>
  );
}

function target(slate: SlateView, sheet: SheetView): string {
  if (sheet.state === "EXPOSING") return `/runs/${sheet.id}`;
  return `/slates/${slate.id}/${sheet.lookedAtStation}?sheet=${sheet.id}`;
}

function Hung(props: { slate: SlateView; sheet: SheetView; first: boolean; chosen: boolean }) {
  const { sheet } = props;
  const width = Math.min(132, Math.max(40, HEIGHT * sheet.aspect));
  const picture = sheetPicture(sheet);
  return (
    <>
      {!props.first && <Between words={sheet.changes} />}
      <li className={`hung${props.chosen ? " chosen" : ""}${sheet.state === "ABANDONED" ? " given-up" : ""}`}>
        <Link to={target(props.slate, sheet)}>
          <span className="clip" aria-hidden="true" />
          {picture !== undefined ? (
            <img src={picture} alt="" style={{ width, height: width / sheet.aspect }} />
          ) : (
            <span className="blank-sheet" style={{ width, height: HEIGHT }}>
              {sheet.state === "EXPOSING"
                ? "under the lamp"
                : sheet.state === "ABANDONED"
                  ? "given up"
                  : "no scan"}
            </span>
          )}
          <strong>{sheet.label}</strong>
          <span>
            {sheet.doubt !== undefined && "doubtful, "}
            {sheet.summary}
          </span>
        </Link>
      </li>
    </>
  );
}

function Between(props: { words: readonly string[] }) {
  return (
    <li className="between">
      {props.words.length === 0 && <span>the same again</span>}
      {props.words.slice(0, 3).map((word) => (
        <span key={word}>{word}</span>
      ))}
      <span aria-hidden="true">→</span>
    </li>
  );
}

function NextSheet(props: { slate: SlateView }) {
  const { slate } = props;
  if (slate.sheets.some((s) => s.state === "EXPOSING")) return null;
  const strips = slate.sheets.length === 0;
  const words = slate.differences.map((d) => d.words);
  return (
    <>
      {!strips && <Between words={words.length > 0 ? words : ["unchanged"]} />}
      <li className="hung next">
        <span className="clip" aria-hidden="true" />
        <span className="blank-sheet dashed" style={{ width: 96, height: HEIGHT }} />
        <strong>Next</strong>
        <span>
          {strips
            ? `strip about ${seconds(slate.base.seconds)} s`
            : slate.base.parts.length > 1
              ? partsText(slate.base.parts)
              : slate.base.pack?.thirds
                ? `${slate.base.light.notation}, ${thirdsText(slate.base.pack.thirds)}`
                : `${seconds(slate.base.seconds)} s, ${slate.base.light.notation}`}
        </span>
      </li>
    </>
  );
}
