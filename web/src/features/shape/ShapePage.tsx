import { Button } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { type AreaView, areasOf, positiveAt } from "../../shared/api/client";
import { quietly } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { SeenIn } from "../../shared/ui/SeenIn";
import { draft, useStandingPicture } from "../../shared/preview/draft";
import { Print } from "../../shared/ui/Print";
import { ScriptDials } from "../../shared/ui/ScriptDials";
import { Verdict } from "../../shared/ui/Verdict";
import { aperture, seconds } from "../../shared/units/format";
import { AreaCanvas } from "./AreaCanvas";
import { type AreaChange, AreaList } from "./AreaList";
import { type Shape, type ShapeTool, startingShape } from "../../shared/areas/geometry";

const TOOLS: readonly { tool: ShapeTool; label: string; key: string }[] = [
  { tool: "ellipse", label: "Ellipse", key: "O" },
  { tool: "lasso", label: "Lasso", key: "L" },
  { tool: "edge", label: "Card edge", key: "K" },
];

const VIEWS = [
  { view: "print", label: "As print", shows: "Preview" },
  { view: "positive", label: "As positive", shows: "The frame, positive," },
  { view: "negative", label: "As negative", shows: "The frame, negative," },
] as const;

/** Holding back and burning: areas on the picture, each in stops; the row of dials; with and without. */
export function ShapePage() {
  const { slate, edit } = useSlateContext();
  const [tool, setTool] = useState<ShapeTool>();
  const [chosen, setChosen] = useState<string>();
  const [withWork, setWithWork] = useState(true);
  const [view, setView] = useState<(typeof VIEWS)[number]["view"]>("print");
  const areas = areasOf(slate);
  const preview = useStandingPicture(slate, withWork);
  const path = slate.subject.positivePath;
  const shows = VIEWS.find((v) => v.view === view) ?? VIEWS[0];
  const ofFrame = view !== "print" && path !== undefined;
  const { imageWidthMm, imageHeightMm, crop } = slate.setup;
  const nextView = () => setView(VIEWS[(VIEWS.indexOf(shows) + 1) % VIEWS.length]?.view ?? "print");
  const setAreas = (next: (now: AreaView[]) => AreaView[]) =>
    edit.mutateAsync((now) => ({ local: { areas: next(areasOf(now)) } }));
  const add = (shape: Shape) => {
    const area = newArea(shape, areas);
    setTool(undefined);
    setChosen(area.key);
    quietly(setAreas((now) => [...now, area]));
  };
  const change = (key: string, part: AreaChange) => setAreas((now) => changed(now, key, part));
  const offer = (key: string, part: AreaChange) =>
    draft.offer(slate, { local: { areas: changed(areas, key, part) } }, { withLocalWork: withWork });
  const remove = (key: string) => quietly(setAreas((now) => now.filter((a) => a.key !== key)));
  useKeys({
    o: () => add(startingShape("ellipse", crop)),
    l: () => add(startingShape("lasso", crop)),
    k: () => add(startingShape("edge", crop)),
    w: () => setWithWork((w) => !w),
    v: nextView,
    Escape: () => setTool(undefined),
  });
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Shape</h1>
        <Print
          source={ofFrame ? positiveAt(path) : preview}
          alt={`${shows.shows} ${withWork ? "with" : "without"} local work`}
          aspect={imageWidthMm / imageHeightMm}
          crop={ofFrame ? crop : undefined}
          className={ofFrame && view === "negative" ? "as-negative" : ""}
        >
          <AreaCanvas
            areas={areas}
            crop={crop}
            widthMm={imageWidthMm}
            heightMm={imageHeightMm}
            tool={tool}
            chosen={chosen}
            onChoose={setChosen}
            onDrawn={add}
            onChange={(key, reshape) =>
              quietly(change(key, (now) => ({ shape: reshape(now.shape) })).finally(() => draft.end()))
            }
            onDrag={(key, shape) => (key && shape ? offer(key, { shape }) : draft.end())}
            onRemove={remove}
          />
        </Print>
        <div className="stage-tools" role="toolbar" aria-label="Draw an area">
          {TOOLS.map(({ tool: t, label, key }) => (
            <button
              key={t}
              type="button"
              aria-pressed={tool === t}
              onClick={(event) => {
                // A key press on the button has no pointer to draw with: it gets a shape to start from.
                if (event.detail === 0) add(startingShape(t, crop));
                else setTool(tool === t ? undefined : t);
              }}
            >
              {label} <kbd>{key}</kbd>
            </button>
          ))}
          <button type="button" aria-pressed={!withWork} onClick={() => setWithWork(!withWork)}>
            {withWork ? "Show without" : "Show with"} <kbd>W</kbd>
          </button>
          {path !== undefined && (
            <button type="button" aria-pressed={ofFrame} onClick={nextView}>
              {shows.label} <kbd>V</kbd>
            </button>
          )}
        </div>
        <p className="stage-note">
          {tool ? drawHint(tool) : `${withWork ? "With" : "Without"} local work. ${slate.previewBasis.text}`}
        </p>
      </main>
      <aside className="panel dense" aria-label="Local plan">
        <h2>Shape the light</h2>
        <p className="lead">Held back during the base, burned after it.</p>
        {slate.local.script.length > 0 && <ScriptDials script={slate.local.script} />}
        <AreaList
          slate={slate}
          chosen={chosen}
          problem={edit.error}
          onChoose={setChosen}
          onChange={change}
          onDraft={offer}
          onDraftEnd={() => draft.end()}
          onRemove={remove}
        />
        <SeenIn slate={slate} />
        <PlanVerdict slate={slate} edit={edit} />
      </aside>
    </>
  );
}

function changed(areas: AreaView[], key: string, part: AreaChange): AreaView[] {
  return areas.map((a) => (a.key === key ? { ...a, ...(typeof part === "function" ? part(a) : part) } : a));
}

function drawHint(tool: ShapeTool): string {
  if (tool === "ellipse") return "Drag from corner to corner of the ellipse. Esc leaves it.";
  if (tool === "lasso") return "Draw around the area in one go. Esc leaves it.";
  return "Drag along the edge of the card, left to right for what lies above. Esc leaves it.";
}

function newArea(shape: Shape, areas: readonly AreaView[]): AreaView {
  const edge = shape.kind === "edge";
  const taken = new Set(areas.map((a) => a.name));
  let n = areas.length + 1;
  while (taken.has(`Area ${String(n)}`)) n += 1;
  return {
    key: crypto.randomUUID(),
    name: `Area ${String(n)}`,
    shape,
    softEdge: edge ? 0.15 : 0.05,
    changeStops: edge ? 1 / 2 : -1 / 3,
    tool: edge ? "card edge" : "wand",
  };
}

function PlanVerdict({ slate, edit }: SlateContext) {
  const navigate = useNavigate();
  const { local } = slate;
  const toPrint = () => void navigate(`/slates/${slate.id}/print`);
  if (local.problem !== undefined) {
    return <Verdict headline="It cannot be given like this." why={local.problem} />;
  }
  if (local.advice) {
    const { advice } = local;
    return (
      <Verdict headline={advice.headline} why={advice.why}>
        <Button
          type="primary"
          className="on-dark"
          onClick={() =>
            edit.mutate({
              setup: { apertureMark: advice.apertureMark },
              base: { seconds: advice.baseSeconds },
            })
          }
        >
          Stop down to {aperture(advice.apertureMark)}
        </Button>
        <Button className="on-dark-quiet" onClick={toPrint}>
          Leave
        </Button>
      </Verdict>
    );
  }
  const moves = local.script.length;
  return (
    <Verdict
      headline={`${seconds(local.totalSetSeconds)} s under the lamp, ${moves === 1 ? "one exposure" : `${String(moves)} exposures`}.`}
      why={
        slate.local.areas.length === 0
          ? "A straight print. Draw an area to hold it back or burn it."
          : "Never more than two tools at once. Keep the tool moving, well above the paper."
      }
    >
      <Button type="primary" className="on-dark" onClick={toPrint}>
        Go to Print
      </Button>
    </Verdict>
  );
}
