import type { SheetView } from "../api/client";
import { notedIn } from "./noted";

/** Why a sheet cannot be trusted, and what was noted in its run, where it is looked at. */
export function Doubt(props: { sheet: SheetView }) {
  const noted = notedIn(props.sheet);
  return (
    <>
      {props.sheet.doubt !== undefined && (
        <p className="note doubt" role="note">
          {props.sheet.doubt}
        </p>
      )}
      {noted !== undefined && <p className="note">{noted}</p>}
    </>
  );
}
