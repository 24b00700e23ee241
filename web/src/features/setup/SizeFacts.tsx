import type { SlateView } from "../../shared/api/client";
import { useRoom } from "../../shared/room/room";
import { centimetres, number, times } from "../../shared/units/format";
import { heightLabel } from "../../shared/units/height";

const OFFICE_LONG_MM = 297;
const OFFICE_SHORT_MM = 210;

/** What follows from size, lens and opening: read off while one stands at the column. */
export function SizeFacts(props: { slate: SlateView }) {
  const { setup, geometry } = props.slate;
  return (
    <dl className="size-facts" aria-label="What follows">
      <div>
        <dt>Picture on paper</dt>
        <dd>
          {times(setup.magnification)}, {number(Math.round(setup.imageWidthMm))} ×{" "}
          {number(Math.round(setup.imageHeightMm))} mm
        </dd>
      </div>
      <div>
        <dt>{heightLabel(setup)}</dt>
        <dd>
          {centimetres(setup.lensToPaperMm)}
          {geometry.columnReads !== undefined && `, column ${number(Math.round(geometry.columnReads))} mm`}
        </dd>
      </div>
      {setup.filmToLensMm !== undefined && (
        <div>
          <dt>Film above lens; drawn out</dt>
          <dd>
            {number(setup.filmToLensMm)}; {number(setup.filmToLensMm - setup.focalMm)} mm
          </dd>
        </div>
      )}
      <div>
        <dt>Lost of the negative</dt>
        <dd>
          {setup.lostFraction < 0.001
            ? "nothing"
            : `${number(setup.lostMm)} mm, ${(100 * setup.lostFraction).toFixed(1)} %`}
        </dd>
      </div>
      <div>
        <dt>Corners, {geometry.cornerSource}</dt>
        <dd>{hundredths(geometry.cornerStops)} stop</dd>
      </div>
      {geometry.blurMm > 0 && (
        <div>
          <dt>A point becomes</dt>
          <dd>{hundredths(geometry.blurMm)} mm</dd>
        </div>
      )}
      {geometry.holders.length > 0 && (
        <div>
          <dt>Taken by</dt>
          <dd>{geometry.holders.join(", ")}</dd>
        </div>
      )}
      {setup.projection === "ENLARGED" && <Sizing {...props} />}
    </dl>
  );
}

/** The sheet to size on opens as a file, which only white light bears. */
function Sizing({ slate }: { slate: SlateView }) {
  const room = useRoom();
  if (room !== "white") return null;
  const { sheetWidthMm: a, sheetHeightMm: b } = slate.setup;
  const larger = Math.max(a, b) > OFFICE_LONG_MM || Math.min(a, b) > OFFICE_SHORT_MM;
  const address = `/api/slates/${slate.id}/sizing-sheet`;
  return (
    <div>
      <dt>Sizing sheet, true size</dt>
      <dd>
        <a href={address} target="_blank" rel="noreferrer">
          PDF
        </a>
        {larger && (
          <>
            {" or "}
            <a href={`${address}?inParts=true`} target="_blank" rel="noreferrer">
              in parts
            </a>
          </>
        )}
      </dd>
    </div>
  );
}

function hundredths(value: number): string {
  return value.toFixed(2).replace("-", "−");
}
