import { Checkbox } from "antd";
import { useState } from "react";
import { sayColoursAlike, useColoursAlike } from "../../shared/theme/vision";
import { useSearchParams } from "react-router";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { type SheetView, type SlateView, isOfOneLight } from "../../shared/api/client";
import { useWeighed } from "../../shared/api/colour";
import { useKeys } from "../../shared/keys/keys";
import { HandIn } from "../../shared/scan/HandIn";
import { Ways } from "../../shared/ui/Choice";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Doubt } from "../../shared/ui/Doubt";
import { PackOnHead } from "../../shared/ui/PackTime";
import { Verdict } from "../../shared/ui/Verdict";
import { CastRing } from "./CastRing";
import { TwoLamps } from "./TwoLamps";
import { CastVerdict } from "./CastVerdict";
import { KitQuestion, Learned } from "./KitLines";
import { LookFields } from "./LookFields";
import { DRY_WHERE_IT_HANGS, type In, LookedIn } from "./LookedIn";
import { Densities, LookedAgain, PickedPieces, Steady, type View, Views } from "./LookLines";
import { LookTimer } from "./LookTimer";
import { MeterFields } from "./MeterFields";
import { Rose } from "./Rose";
import { TasteLine } from "./TasteLine";
import { SpotPicture, TapFields } from "./SpotPicture";
import {
  BESIDES,
  type Beside,
  type Choosing,
  type ColourLook,
  MOST_LOOKS,
  type Picks,
  type Way,
  filterSteps,
  lookOf,
  picked,
  stronger,
  walked,
  walkedPiece,
} from "./casts";
import { USUAL_STRENGTHS, useKits } from "./kit";
import { useTaps } from "./taps";
import { type Answer, type Cast, useJudge, useProposal } from "./weighed";

/** Judging the colour of a sheet: through a viewing filter, by name, by pieces on the rose or in a picture, all looks weighed together. */
export function ColourPage() {
  const context = useSlateContext();
  const [search] = useSearchParams();
  const hung = context.slate.sheets.filter((s) => s.state === "HUNG" && inOneRow(s));
  const sheet = hung.find((s) => s.id === search.get("sheet")) ?? hung.at(-1);
  return sheet ? (
    <Judging key={sheet.id} {...context} sheet={sheet} hung={hung} />
  ) : (
    <NothingYet slate={context.slate} />
  );
}

/** Strips of two packs in two rows have no colour of their own; pieces of many have. */
function inOneRow(sheet: SheetView): boolean {
  return new Set(sheet.patches.map((p) => p.row)).size <= 1;
}

function NothingYet(props: { slate: SlateView }) {
  const { next } = props.slate;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Colour</h1>
        <p className="empty-line">
          No sheet hangs here yet. Its colour is judged on the patch with the right density.
        </p>
      </main>
      <aside className="panel" aria-label="Colour">
        <h2>Colour</h2>
        <Verdict headline={next.headline} why={next.why}>
          <NextStepButton slateId={props.slate.id} next={next} />
        </Verdict>
      </aside>
    </>
  );
}

function Judging({
  slate,
  edit,
  sheet,
  hung,
}: SlateContext & { sheet: SheetView; hung: readonly SheetView[] }) {
  const pieces = !isOfOneLight(sheet);
  const alike = useColoursAlike();
  const [way, setWay] = useState<Way>(firstWay(sheet, pieces, alike));
  const [picks, setPicks] = useState<Picks>([]);
  const [chosen, setChosen] = useState<Choosing>({});
  const [earlier, setEarlier] = useState<readonly ColourLook[]>([]);
  const [beside, setBeside] = useState<Beside>("NOTHING");
  const [alone, setAlone] = useState(false);
  const [view, setView] = useState<View>("CASTS");
  const [looked, setLooked] = useState<In>(DRY_WHERE_IT_HANGS);
  const [density, setDensity] = useState(0);
  const kits = useKits().data?.kits;
  const kit = kits?.[0];
  const steps = filterSteps(kit?.strengths ?? USUAL_STRENGTHS);
  const weighed = useWeighed(slate);
  const byPieces = way === "PIECES";
  /** Through a filter or by name one piece is looked at: the one that was touched, else the one in the middle. */
  const piece = picks.length === 1 ? (picks[0] ?? 1) : 1;
  const byPicture = way === "PICTURE";
  const hasPicture = slate.subject.positivePath !== undefined;
  const scale = weighed?.castScale ?? 1;
  const byMeter = way === "METER";
  const byEye = !byPicture && !byMeter;
  const at = looked.area.trim() === "" || byMeter || byPieces ? {} : { area: looked.area };
  /** Of a card that was photographed the density is known as well; on a test or wet it says nothing of it. */
  const canCard = byPicture && sheet.patches.length < 2 && looked.dry;
  const taps = useTaps(sheet.scans, canCard);
  const seen = lookOf(way, { ...chosen, picks, spot: taps.said }, steps);
  const look = seen && pieces && !byPieces && byEye ? { ...seen, pieces: [piece] } : seen;
  // What lies beside now is said of this look; earlier ones keep theirs.
  const looks = look ? [...earlier, byEye ? { ...look, beside, ...at } : { ...look, ...at }] : earlier;
  const said = looks.length > 0;
  const cast: Cast = {
    way,
    looks: [...looks],
    densityStops: taps.isCard ? 0 : density,
    alone,
    dry: looked.dry,
    lamp: looked.lamp,
    elsewhere: looked.elsewhere,
    ...(way === "BY_NAME" && { scale }),
    ...(way === "VIEWING_FILTER" && kit && { kit: kit.name }),
  };
  const proposal = useProposal(sheet.id, cast, said, slate.recipeId);
  const judge = useJudge(slate.id, sheet.id, cast);
  const colour = said && proposal.data ? proposal.data.colour : weighed;
  const again = () => {
    if (!look || looks.length >= MOST_LOOKS) return;
    setEarlier(looks);
    setChosen({});
    setPicks([]);
    taps.clear();
  };
  const pick = (piece: number) => setPicks(byPieces ? picked(picks, piece) : [piece]);
  const startOver = () => {
    setChosen({});
    setPicks([]);
    taps.clear();
    setEarlier([]);
  };
  const turnTo = (other: Way) => {
    if (other !== way) {
      startOver();
      setPicks(other === "PIECES" ? [] : picks.slice(-1));
    }
    setWay(other);
  };
  const walk = (by: 1 | -1) => {
    if (byPieces) setPicks(walkedPiece(picks, sheet.patches.length, by));
    else if (byEye) setChosen(walked(way, chosen, by));
  };
  const strengthen = (by: 1 | -1) => {
    if (!byPieces && byEye) setChosen(stronger(way, chosen, by, steps));
  };
  const take = (answer: Answer) =>
    judge.mutate(answer, {
      onSuccess: () => {
        startOver();
        setDensity(0);
      },
    });
  useKeys({
    v: () => turnTo("VIEWING_FILTER"),
    a: () => turnTo("BY_NAME"),
    i: () => turnTo("PICTURE"),
    t: () => turnTo("METER"),
    ...(pieces && { p: () => turnTo("PIECES") }),
    g: again,
    ArrowRight: () => walk(1),
    ArrowLeft: () => walk(-1),
    "+": () => strengthen(1),
    "-": () => strengthen(-1),
    Enter: () => {
      if (said && proposal.data && !judge.isPending) take({ answer: "PROPOSED" });
    },
    ...(byPicture && { w: taps.turnWhite }),
    y: () => {
      if (byPicture) taps.turnCard();
      else setBeside(beside === "NOTHING" ? "CARD" : "NOTHING");
    },
  });
  const filter = way === "VIEWING_FILTER";
  const last = sheet.decisions.filter((d) => d.way !== undefined).at(-1);
  return (
    <>
      <main className="stage colour-stage">
        <h1 className="visually-hidden">Colour of {sheet.label}</h1>
        {hasPicture && !byPicture && <Views named={way === "BY_NAME"} view={view} onView={setView} />}
        {byPicture ? (
          <SpotPicture key={sheet.scans} sheet={sheet} taps={taps} />
        ) : hasPicture && view === "LAMPS" ? (
          <TwoLamps slate={slate} />
        ) : hasPicture && way === "BY_NAME" && view === "CASTS" ? (
          <CastRing slate={slate} scale={scale} chosen={chosen} onChoose={setChosen} />
        ) : (
          <Rose
            sheets={hung}
            looked={sheet}
            neutral={colour}
            proposed={said ? proposal.data?.verdict.light : undefined}
            said={said && proposal.data !== undefined}
            taste={slate.naming.taste}
            picks={pieces ? { picked: picks, onPick: pick } : undefined}
          />
        )}
      </main>
      <aside className="panel dense" aria-label={`Colour of ${sheet.label}`}>
        <h2>{sheet.label}</h2>
        <Doubt sheet={sheet} />
        <p className="lead">
          {leadOf(sheet, way, piece)} {byEye && <LookTimer />}
          <HandIn slateId={slate.id} sheet={sheet} />
        </p>
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        <div className="look-ways">
          <Ways<Way>
            label="How the cast is seen"
            value={way}
            ways={[
              { value: "VIEWING_FILTER", label: "Filter" },
              { value: "BY_NAME", label: "By name" },
              ...(pieces ? [{ value: "PIECES" as const, label: "Pieces" }] : []),
              { value: "PICTURE", label: "Picture" },
              { value: "METER", label: "Meter" },
            ]}
            onChange={turnTo}
          />
          <p className="way-groups" aria-hidden="true">
            <span style={{ flex: 2 }}>by eye</span>
            {pieces && <span style={{ flex: 1 }}>pieces</span>}
            <span style={{ flex: 2 }}>instruments</span>
          </p>
        </div>
        {filter && kits && <KitQuestion kits={kits} />}
        {byPieces && <PickedPieces sheet={sheet} picks={picks} onPick={pick} />}
        {byPicture && <TapFields taps={taps} canCard={canCard} pieces={pieces} />}
        {!byPieces && byEye && (
          <LookFields kit={steps} way={way} scale={scale} chosen={chosen} onChange={setChosen} />
        )}
        {byMeter && (
          <MeterFields
            slate={slate}
            sheet={sheet}
            meter={chosen.meter}
            error={(pointer) => proposal.error?.at(pointer)}
            onChange={(meter) => setChosen({ meter })}
          />
        )}
        {!byMeter && (
          <LookedAgain
            looks={looks.length}
            canAgain={look !== undefined}
            onAgain={again}
            onOver={startOver}
          />
        )}
        {byEye && (
          <div className="beside-line">
            <span>Beside it</span>
            <Ways<Beside>
              label="What lies beside the print"
              value={beside}
              ways={BESIDES}
              onChange={setBeside}
            />
          </div>
        )}
        {!byMeter && (
          <LookedIn
            looked={looked}
            error={(pointer) => proposal.error?.at(pointer)}
            onChange={(part) => setLooked({ ...looked, ...part })}
          />
        )}
        {!byMeter && !taps.isCard && <Densities value={density} onChange={setDensity} />}
        {alike && byEye && (
          <p className="field-hint" role="note">
            Some colours look alike to you: a picture or a meter tells casts more surely. Your eye tells the
            density.
          </p>
        )}
        <TasteLine slate={slate} edit={edit} looked={sheet} neutral={weighed?.neutral} />
        <PackOnHead slate={slate} edit={edit} />
        {weighed !== undefined && weighed.looks.length > 0 && (
          <Ways<"ALL" | "ALONE">
            label="Which looks count"
            value={alone ? "ALONE" : "ALL"}
            ways={[
              { value: "ALL", label: "All looks so far" },
              { value: "ALONE", label: looks.length > 1 ? "These alone" : "This one alone" },
            ]}
            onChange={(which) => setAlone(which === "ALONE")}
          />
        )}
        {filter && weighed?.kit && <Learned taught={weighed.kit} kits={kits ?? []} />}
        {weighed?.steady?.found && <Steady steady={weighed.steady} />}
        {colour?.apart && <p className="field-hint">{colour.apart}</p>}
        <Checkbox checked={alike} onChange={(event) => sayColoursAlike(event.target.checked)}>
          Some colours look alike to me
        </Checkbox>
        {last && (
          <p className="note">
            On record: {last.headline} {last.remark && `“${last.remark}”`}
          </p>
        )}
        <CastVerdict
          slate={slate}
          sheet={sheet}
          said={said}
          way={way}
          judged={last !== undefined}
          verdict={proposal.data?.verdict}
          problem={
            proposal.error?.message ?? (judge.error?.errors.length === 0 ? judge.error.message : undefined)
          }
          busy={judge.isPending}
          fieldError={(pointer) => judge.error?.at(pointer)}
          onAnswer={take}
        />
      </aside>
    </>
  );
}

/** Where colours look alike to the reader an instrument comes first. */
function firstWay(sheet: SheetView, pieces: boolean, alike: boolean): Way {
  if (alike) return sheet.scans > 0 ? "PICTURE" : "METER";
  return pieces ? "PIECES" : "VIEWING_FILTER";
}

const REST = "Look two seconds, then at a grey card.";

function leadOf(sheet: SheetView, way: Way, piece: number): string {
  if (way === "METER")
    return "The meter sees the negative, not the print: what it is off depends on the scene.";
  if (way === "PICTURE")
    return isOfOneLight(sheet)
      ? "A picture of the whole sheet with its white rim, dry, in one light."
      : "One picture of all pieces, apart on something dark, with their white rims, dry, in one light.";
  if (way === "PIECES") return `Side by side, dry, in the light they will hang in. ${REST}`;
  if (!isOfOneLight(sheet)) return `Judge piece ${String(piece)}; touch another one to judge that. ${REST}`;
  return sheet.patches.length > 0 ? `Judge the patch with the right density. ${REST}` : REST;
}
