import type { SlateView } from "../api/client";
import { centimetres, times } from "./format";

type Setup = SlateView["setup"];

/** What the height of the light is called: enlarged, in contact, or from a bare lamp. */
export function heightLabel(setup: Pick<Setup, "projection">): string {
  return setup.projection === "LAMP"
    ? "Lamp above paper"
    : setup.projection === "LENS"
      ? "Lens above paper"
      : "Lens above easel";
}

/** How high, with the magnification where there is one, and what the column's own scale shows where it was read. */
export function heightText(
  setup: Pick<Setup, "projection" | "lensToPaperMm" | "magnification" | "columnReading">,
): string {
  const high = centimetres(setup.lensToPaperMm);
  if (setup.projection === "ENLARGED") return `${high}, ${times(setup.magnification)}`;
  return setup.columnReading ? `${high}, column ${setup.columnReading}` : `${high}, contact`;
}
