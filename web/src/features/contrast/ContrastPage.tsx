import { Button } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { type SlateView, previewPicture } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { Ways } from "../../shared/ui/Choice";
import { Print } from "../../shared/ui/Print";
import { Verdict } from "../../shared/ui/Verdict";
import { partLights, partsText } from "../../shared/units/parts";
import { Threads } from "./Threads";
import { OtherBoxes, useOtherBoxes } from "./OtherBoxes";
import { type Lies, TwoFilters } from "./TwoFilters";
import {
  type Asked,
  type Proposal,
  type Way,
  beside,
  firstAsked,
  isAsked,
  useContrast,
  useContrastProposal,
  useContrastTaking,
  useStripsPlan,
  withThread,
} from "./contrast";

const SIXTH = 1 / 6;

/** The contrast: threads from the negative over the paper's curve to the print, as it stands and as it would be. */
export function ContrastPage() {
  const context = useSlateContext();
  // Whatever is set starts the page anew: nothing that was asked of another base is asked of this one.
  return <Contrast key={context.slate.recipeId} {...context} />;
}

function Contrast({ slate, edit }: SlateContext) {
  // Graded paper has no filter to choose: harder and softer are other boxes.
  const graded = slate.medium.lights.length === 1;
  const others = useOtherBoxes({ slate, edit });
  const split = slate.base.parts.length > 1;
  const [asked, setAsked] = useState<Asked>(() => firstAsked(slate.base.parts, slate.medium.lights));
  const [chosen, setChosen] = useState<string>();
  const standing = useContrast(slate);
  const [ends, setEnds] = useState(false);
  const proposal = useContrastProposal(slate, asked, ends);
  const take = useContrastTaking(slate);
  const navigate = useNavigate();
  const found = proposal.data;
  const wanted = isAsked(asked) && found !== undefined && differs(slate, found);
  // What is shown is of the ask before as long as the newest is reckoned: it is not set blindly.
  const settled = wanted && !proposal.isPlaceholderData;
  const now = slate.subject.positivePath === undefined ? undefined : previewPicture(slate, false, { ends });
  const next = wanted ? found.picture : now;
  const lights = slate.medium.lights;
  const way = asked.way ?? "ONE_FILTER";
  const another = (by: 1 | -1) =>
    setAsked((now) => ({
      ...now,
      threads: [],
      school: undefined,
      // From what was asked last, whether or not it was answered yet: quick presses all count.
      light: beside(lights, now.light ?? found?.one.light.notation ?? slate.base.light.notation, by),
    }));
  const step = graded ? others.step : another;
  const more = (by: number) =>
    setAsked((now) => ({ ...now, moreStops: Math.max(-3, Math.min(3, (now.moreStops ?? 0) + by)) }));
  const takeWay = (to: Way) => setAsked((now) => ({ ...now, way: to }));
  const named = standing.data?.threads.flatMap((t) =>
    t.wantedNet === undefined ? [] : [{ name: t.name, net: t.wantedNet }],
  );
  const asNamed = () => {
    if (named && named.length > 0)
      setAsked((now) => ({ ...now, light: undefined, school: undefined, threads: named }));
  };
  const strips = useStripsPlan(slate);
  const planStrips = (lies: Lies) =>
    strips.mutate(
      { ...asked, lies },
      { onSuccess: () => void navigate(`/slates/${slate.id}/test?sheet=plan`) },
    );
  const set = () => {
    if (settled) take.mutate(asked);
  };
  const half = (second: string) =>
    edit.mutate(
      { test: { kind: "GUESS", second } },
      { onSuccess: () => void navigate(`/slates/${slate.id}/test?sheet=plan`) },
    );
  useKeys({
    o: () => takeWay("ONE_FILTER"),
    t: () => !graded && takeWay("TWO_FILTERS"),
    h: () => step(1),
    f: () => step(-1),
    l: () => more(-SIXTH),
    d: () => more(SIXTH),
    w: asNamed,
    m: () => setEnds(!ends),
    e: set,
    Escape: () => setAsked({ ...firstAsked(slate.base.parts, lights), way }),
  });
  if (standing.error) throw standing.error;
  if (!standing.data) return <main className="stage" aria-busy="true" />;
  const { imageWidthMm, imageHeightMm } = slate.setup;
  const aspect = imageWidthMm / imageHeightMm;
  const shown = found ?? { curve: standing.data.curve, threads: standing.data.threads };
  return (
    <>
      <main className="stage contrast-stage">
        <h1 className="visually-hidden">Contrast</h1>
        <div className="contrast-pictures">
          <figure>
            <Print source={now} alt="The straight print as it stands" aspect={aspect} />
            <figcaption>
              <b>Now</b> {partsText(slate.base.parts)}
            </figcaption>
          </figure>
          <figure>
            <Print source={next} alt="The straight print as it would be" aspect={aspect} />
            <figcaption>
              <b>Next</b> {wanted && found ? partsText(found.parts) : "the same"}
            </figcaption>
          </figure>
        </div>
        <Threads
          standing={standing.data}
          next={shown}
          nextLabel={found ? partLights(found.parts) : ""}
          standingLabel={partLights(slate.base.parts)}
          chosen={chosen}
          onChoose={setChosen}
          onMove={(name, net) => setAsked((now) => withThread(now, name, net))}
        />
        <p className="stage-note">{standing.data.basis} Without local work.</p>
      </main>
      <aside className="panel dense" aria-label="Contrast">
        {graded ? (
          <OtherBoxes slate={slate} {...others} />
        ) : (
          <Ways<Way>
            label="How the contrast is given"
            value={way}
            ways={[
              { value: "ONE_FILTER", label: "One filter" },
              { value: "TWO_FILTERS", label: "Two filters" },
            ]}
            onChange={takeWay}
          />
        )}
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        <ToneTable
          standing={standing.data.threads}
          next={shown.threads}
          chosen={chosen}
          onChoose={setChosen}
        />
        {named?.length === 0 && (
          <p className="note">
            No tone is named yet: these are where the print stands at 0.10, 0.60 and 1.54. Name your own at
            Test.
          </p>
        )}
        <OffCurve now={standing.data.tones} next={found?.tones} />
        {slate.subject.positivePath !== undefined && (
          <button type="button" className="link" aria-pressed={ends} onClick={() => setEnds(!ends)}>
            {ends ? "Leave them unmarked" : "Mark bare paper and full black"} <kbd>M</kbd>
          </button>
        )}
        <div className="contrast-steps" role="group" aria-label="All of it">
          <Button onClick={() => step(-1)}>
            Softer <kbd>F</kbd>
          </Button>
          <Button onClick={() => step(1)}>
            Harder <kbd>H</kbd>
          </Button>
          <Button onClick={() => more(-SIXTH)}>
            Lighter <kbd>L</kbd>
          </Button>
          <Button onClick={() => more(SIXTH)}>
            Darker <kbd>D</kbd>
          </Button>
        </div>
        {named && named.length > 0 && (
          <button type="button" className="link" onClick={asNamed}>
            All threads to what they are to be <kbd>W</kbd>
          </button>
        )}
        {way === "TWO_FILTERS" && (
          <TwoFilters
            slate={slate}
            asked={asked}
            proposal={found}
            strips={standing.data.strips}
            onAsk={setAsked}
            onPlan={planStrips}
            onHalf={split && !wanted ? half : undefined}
          />
        )}
        {found?.dials && (
          <p className="note">
            On the dials: Y {found.dials.yellow.toFixed(0)}, M {found.dials.magenta.toFixed(0)},{" "}
            {found.dials.timeFactor.toFixed(2)} × the time of white light.
          </p>
        )}
        <Verdict
          headline={
            proposal.error
              ? "That cannot be set."
              : wanted && found
                ? found.headline
                : "Move a thread's end, or go softer or harder."
          }
          why={
            proposal.error
              ? "Nothing was changed. Ask for something else above, or take Esc."
              : wanted && found
                ? found.why
                : `What the tone should be in the print; ${graded ? "the time follows, and which paper grade would hold it" : "the filter and the time follow"}. What you do not move stays as near as one curve lets it.`
          }
          restsOn={wanted && found ? found.restsOn : []}
          error={
            proposal.error?.message ?? take.error?.message ?? strips.error?.message ?? edit.error?.message
          }
        >
          <Button
            type="primary"
            className="on-dark"
            disabled={!settled}
            loading={take.isPending}
            onClick={set}
          >
            {wanted && found ? `Set ${partsText(found.parts)}` : "Nothing to set"} <kbd>E</kbd>
          </Button>
          {wanted &&
            way === "ONE_FILTER" &&
            !split &&
            found.one.light.notation !== slate.base.light.notation && (
              <Button className="on-dark-quiet" onClick={() => half(found.one.light.notation)}>
                Half and half on one sheet
              </Button>
            )}
        </Verdict>
      </aside>
    </>
  );
}

function differs(slate: SlateView, found: Proposal): boolean {
  const now = slate.base.parts;
  return (
    now.length !== found.parts.length ||
    found.parts.some(
      (p, i) =>
        p.light.notation !== now[i]?.light.notation || Math.abs(p.seconds - (now[i]?.seconds ?? 0)) > 0.02,
    )
  );
}

function ToneTable(props: {
  standing: readonly Proposal["threads"][number][];
  next: readonly Proposal["threads"][number][];
  chosen: string | undefined;
  onChoose: (name: string) => void;
}) {
  return (
    <table className="rows">
      <thead>
        <tr>
          <th scope="col">Tone</th>
          <th scope="col">To be</th>
          <th scope="col">Now</th>
          <th scope="col">Next</th>
        </tr>
      </thead>
      <tbody>
        {props.next.map((tone, i) => (
          <tr
            key={tone.name}
            className={tone.name === props.chosen ? "chosen" : ""}
            onClick={() => props.onChoose(tone.name)}
          >
            <td>{tone.name}</td>
            <td>{tone.wantedNet === undefined ? "" : tone.wantedNet.toFixed(2)}</td>
            <td>{props.standing[i]?.net.toFixed(2)}</td>
            <td className={tone.missed !== 0 ? "warning" : ""}>{tone.net.toFixed(2)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** How much of the picture lies off the paper's curve. */
function OffCurve(props: { now: Proposal["tones"]; next: Proposal["tones"] | undefined }) {
  const { bareShare, blockedShare } = props.next ?? props.now;
  if (bareShare === undefined || blockedShare === undefined) return null;
  const percent = (share: number) =>
    `${share > 0 && share < 0.01 ? "under 1" : String(Math.round(100 * share))} %`;
  return (
    <p className="note">
      Bare paper in {percent(bareShare)} of the picture, full black in {percent(blockedShare)}.
    </p>
  );
}
