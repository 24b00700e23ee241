import { type ReactNode, useState } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import type { SheetView } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import { useKeys } from "../../shared/keys/keys";
import { ReadTest } from "./ReadTest";
import { lightOfRow, ofRow, rowOf, rowsOf } from "./rows";

/** Reading a test, row by row where its rows got different lights; most have one. */
export function ReadRow(props: SlateContext & { strip: SheetView; switcher: ReactNode }) {
  const { strip } = props;
  const rows = rowsOf(strip);
  const isRead = (row: number) => strip.decisions.some((d) => d.kind === "READING" && rowOf(d) === row);
  const [row, setRow] = useState(() => rows.find((r) => !isRead(r)) ?? 1);
  const other = rows.find((r) => r !== row);
  useKeys({ ...(other !== undefined && { r: () => setRow(other) }) });
  if (other === undefined) return <ReadTest {...props} />;
  const lies = (strip.patches[0]?.place.height ?? 1) < 1 ? ["Upper", "Lower"] : ["Left", "Right"];
  const ways = rows.map((r) => ({
    value: String(r),
    label: `${lies[r - 1] ?? ""} row, ${lightOfRow(strip, r)}`,
  }));
  const unread = rows.filter((r) => !isRead(r)).map((r) => `the ${(lies[r - 1] ?? "").toLowerCase()} one`);
  return (
    <ReadTest
      key={row}
      {...props}
      strip={ofRow(strip, row)}
      row={{ number: row, toOther: () => setRow(other) }}
      switcher={
        <>
          {props.switcher}
          <Ways label="Row" value={String(row)} ways={ways} onChange={(r) => setRow(Number(r))} />
          <p className="note">
            <kbd>R</kbd> goes to the other row.{" "}
            {unread.length > 0 ? `Not read yet: ${unread.join(" and ")}.` : "Both are read, and both count."}
          </p>
        </>
      }
    />
  );
}
