import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { type SlateView, api, previewPicture, unwrap } from "../../shared/api/client";
import { LAMPS, USUAL } from "../../shared/preview/viewing";
import { Choice } from "../../shared/ui/Choice";

const DISPLAY_KELVIN = 3000;

/** What stands, computed for two lamps side by side, eyes adapted to each. */
export function TwoLamps({ slate }: { slate: SlateView }) {
  const [first, setFirst] = useState(USUAL.kelvin);
  const [second, setSecond] = useState(DISPLAY_KELVIN);
  const compared = useQuery({
    queryKey: ["lamps", first, second],
    queryFn: () => unwrap(api.GET("/api/lamps", { params: { query: { first, second } } })),
  });
  return (
    <div className="two-lamps">
      {[
        { label: "Judged in", kelvin: first, onChange: setFirst },
        { label: "Hangs in", kelvin: second, onChange: setSecond },
      ].map(({ label, kelvin, onChange }) => (
        <figure key={label}>
          <img src={previewPicture(slate, false, { side: 480, seen: { kelvin, wet: false } })} alt="" />
          <Choice label={label} value={kelvin} options={LAMPS} onChange={onChange} />
        </figure>
      ))}
      {compared.data && (
        <p role="status">
          What is neutral in the first is {compared.data.words} in the second once the eye is used to it
          (COL-44). Before it is, a warm lamp looks warm on every print.
        </p>
      )}
    </div>
  );
}
