import { Button } from "antd";
import { useState } from "react";
import { type FrameView, positive } from "../../shared/api/client";
import { type NeedAsked, useNeed, useNeedByScan } from "../../shared/api/frames";
import { useRoll } from "../../shared/api/shelf";
import { Choice, Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { plainStops, signedStops } from "../../shared/units/format";

const CONTRASTS = [
  { value: "0.7", label: "much flatter" },
  { value: "0.85", label: "flatter" },
  { value: "1", label: "alike" },
  { value: "1.2", label: "harder" },
  { value: "1.4", label: "much harder" },
];
const CASTS = [
  { value: "", label: "none" },
  { value: "R", label: "red" },
  { value: "Y", label: "yellow" },
  { value: "G", label: "green" },
  { value: "C", label: "cyan" },
  { value: "B", label: "blue" },
  { value: "M", label: "magenta" },
];
const STRENGTHS = [
  { value: "4", label: "slight" },
  { value: "10", label: "clear" },
  { value: "20", label: "strong" },
];

/** What the frame needs in a print beside another one on the proof: by eye, side by side, or from the proof's scan. */
export function FrameNeed(props: { frame: FrameView }) {
  const { frame } = props;
  const roll = useRoll(frame.rollId).data;
  const keep = useNeed(frame.id);
  const scan = useNeedByScan(frame.id);
  const others = (roll?.frames ?? []).filter((f) => f.id !== frame.id);
  const printed = others.find((f) => f.printedBefore.some((b) => b.accepted));
  const [picked, setPicked] = useState<string>();
  const need = frame.need;
  const againstId = picked ?? need?.againstId ?? printed?.id;
  const against = others.find((f) => f.id === againstId);
  if (others.length === 0) return null;
  const byEye = (change: Partial<NeedAsked>) => {
    if (againstId === undefined) return Promise.resolve();
    const standing: NeedAsked = {
      againstId,
      moreStops: need?.moreStops ?? 0,
      contrast: need?.contrast ?? 1,
      ...(need?.castHue !== undefined && { castHue: need.castHue }),
      ...(need?.castPoints !== undefined && { castPoints: need.castPoints }),
      ...(need?.packMagenta !== undefined && { packMagenta: need.packMagenta }),
      ...(need?.packYellow !== undefined && { packYellow: need.packYellow }),
    };
    return keep.mutateAsync({ ...standing, ...change });
  };
  const take = (change: Partial<NeedAsked>) => void byEye(change).catch(() => undefined);
  const cast = (hue: string, points: number) => {
    if (hue !== "") return take({ castHue: hue, castPoints: points });
    void keep.mutate({
      ...(againstId !== undefined && { againstId }),
      moreStops: need?.moreStops ?? 0,
      contrast: need?.contrast ?? 1,
    });
  };
  return (
    <details className="frame-need more-known" open={need !== undefined}>
      <summary>
        {need
          ? `Beside frame ${need.againstNumber}: ${signedStops(need.moreStops)} of light, ± ${plainStops(need.limitStops)} stop`
          : "What it needs beside another frame"}
      </summary>
      <Choice
        label="Beside frame"
        value={againstId ?? ""}
        options={others.map((f) => ({
          value: f.id,
          label: `${f.number}${f.title ? ` ${f.title}` : ""}${f.printedBefore.some((b) => b.accepted) ? ", printed" : ""}`,
        }))}
        error={keep.error?.at("/againstId")}
        onChange={setPicked}
      />
      {against && (
        <>
          <SideBySide one={against} other={frame} />
          <QuantityField
            label="It needs, stops of light"
            shown={signedStops(need?.moreStops ?? 0)}
            units={["stop", "stops"]}
            hint="+ is more light: it is lighter on the proof. ↑ ↓ by ⅙."
            error={keep.error?.at("/moreStops")}
            onCommit={(c) => byEye({ moreStops: c.value })}
            onStep={(direction, big) =>
              take({ moreStops: (need?.moreStops ?? 0) + (direction * (big ? 3 : 1)) / 6 })
            }
          />
          {need?.secondLookHelps === true && (
            <QuantityField
              label="At a second look, upside down"
              shown=""
              units={["stop", "stops"]}
              hint="The mean of both counts, and is surer."
              error={keep.error?.at("/secondLookStops")}
              onCommit={(c) => byEye({ secondLookStops: c.value })}
            />
          )}
          <p className="field-label">Its contrast</p>
          <Ways
            label="Its contrast"
            value={nearest(need?.contrast ?? 1)}
            ways={CONTRASTS}
            onChange={(contrast) => take({ contrast: Number(contrast) })}
          />
          <p className="field-hint">
            Its tones spread 0.7, 0.85, 1.2 or 1.4 times as far as the other&apos;s: defaults, until a scan
            says it.
          </p>
          {frame.inColour && (
            <>
              <p className="field-label">Its cast</p>
              {need?.packMagenta !== undefined && (
                <p className="field-hint">
                  {packWords(need.packMagenta, need.packYellow ?? 0)} in its pack, by the scan; a cast by eye
                  takes its place.
                </p>
              )}
              <Ways
                label="Its cast"
                value={need?.packMagenta === undefined ? (need?.castHue ?? "") : "by scan"}
                ways={CASTS}
                onChange={(hue) => cast(hue, need?.castPoints ?? 10)}
              />
              {need?.castHue !== undefined && (
                <Ways
                  label="How strong"
                  value={String(need.castPoints ?? 10)}
                  ways={STRENGTHS}
                  onChange={(points) => cast(need.castHue ?? "", Number(points))}
                />
              )}
            </>
          )}
          <div className="row-of-buttons">
            <Button loading={scan.isPending} onClick={() => scan.mutate(against.id)}>
              From the proof&apos;s scan
            </Button>
            {need && <Button onClick={() => keep.mutate(undefined)}>Forget it</Button>}
          </div>
          {scan.data && scan.variables === against.id && (
            <div className="note" role="status">
              {scan.data.headline} {scan.data.why}{" "}
              <Button
                size="small"
                onClick={() => keep.mutate({ againstId: against.id, byScan: true })}
                loading={keep.isPending}
              >
                Keep it
              </Button>
            </div>
          )}
        </>
      )}
      {(scan.error ?? keep.error)?.errors.length === 0 && (
        <p className="field-message" role="alert">
          {(scan.error ?? keep.error)?.message}
        </p>
      )}
    </details>
  );
}

/** "+8 M −3 Y". */
function packWords(magenta: number, yellow: number): string {
  const part = (points: number, dial: string) => {
    const whole = Math.round(points);
    return whole === 0 ? "" : `${whole > 0 ? "+" : "−"}${String(Math.abs(whole))} ${dial}`;
  };
  const words = [part(magenta, "M"), part(yellow, "Y")].filter((w) => w !== "").join(" ");
  return words || "Nothing more";
}

/** The two pictures at one height. */
function SideBySide(props: { one: FrameView; other: FrameView }) {
  return (
    <div className="two-frames">
      {[props.one, props.other].map((frame) => (
        <figure key={frame.id}>
          {frame.hasPicture ? (
            <img src={positive(frame.id, 480)} alt={`Frame ${frame.number}`} />
          ) : (
            <span className="not-scanned">not scanned</span>
          )}
          <figcaption>{frame.number}</figcaption>
        </figure>
      ))}
    </div>
  );
}

/** The named contrast that is nearest to a measured one. */
function nearest(contrast: number): string {
  const apart = (c: { value: string }) => Math.abs(Number(c.value) - contrast);
  return CONTRASTS.reduce((best, c) => (apart(c) < apart(best) ? c : best)).value;
}
