import type { SheetView } from "../api/client";

/** Why a sheet cannot be trusted, where it is looked at. */
export function Doubt(props: { sheet: SheetView }) {
  return props.sheet.doubt === undefined ? null : (
    <p className="note doubt" role="note">
      {props.sheet.doubt}
    </p>
  );
}
