import { type ReactNode, useState } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import type { SheetView } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import { useKeys } from "../../shared/keys/keys";
import { ReadTest } from "./ReadTest";
import { lightOfRow, namesOfRows, ofRow, placeOfRow, rowOf, rowsOf } from "./rows";

/** Reading a test, row by row where its rows got different lights; most have one. */
export function ReadRow(props: SlateContext & { strip: SheetView; switcher: ReactNode }) {
  const { strip } = props;
  const rows = rowsOf(strip);
  const isRead = (row: number) => strip.decisions.some((d) => d.kind === "READING" && rowOf(d) === row);
  const [row, setRow] = useState(() => rows.find((r) => !isRead(r)) ?? 1);
  const next = rows[(rows.indexOf(row) + 1) % rows.length];
  useKeys({ ...(rows.length > 1 && next !== undefined && { r: () => setRow(next) }) });
  if (rows.length < 2) return <ReadTest {...props} />;
  const lies = namesOfRows(strip);
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
      row={{
        number: row,
        others: rows
          .filter((r) => r !== row)
          .map((r) => ({ name: lies[r - 1] ?? "", place: placeOfRow(strip, r), read: () => setRow(r) })),
      }}
      switcher={
        <>
          {props.switcher}
          <Ways label="Row" value={String(row)} ways={ways} onChange={(r) => setRow(Number(r))} />
          <p className="note">
            <kbd>R</kbd> goes to the {rows.length > 2 ? "next" : "other"} row.{" "}
            {unread.length > 0
              ? `Not read yet: ${unread.join(", ")}.`
              : `${rows.length > 2 ? "All" : "Both"} are read, and ${rows.length > 2 ? "all" : "both"} count.`}
          </p>
        </>
      }
    />
  );
}
