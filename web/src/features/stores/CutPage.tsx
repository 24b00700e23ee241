import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { PlaceFrame } from "../../app/PlaceFrame";
import { Wordmark } from "../../app/Wordmark";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { useStores } from "../../shared/api/slate";
import type { Stores } from "../../shared/api/stores";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { length } from "../../shared/units/length";
import { parseQuantity } from "../../shared/units/parse";
import { roomOf } from "../../shared/room/room";
import { takeWholeScreen } from "../../shared/room/wholeScreen";
import { openAudio } from "../../shared/sound/player";
import { CutAloud } from "./CutAloud";
import { type Texts, read } from "./form";
import type { Fact } from "./shelves";

type Cut = Schemas["CutView"];
type CuttingAsked = Schemas["CuttingAsked"];

const FACTS: readonly Fact[] = [
  { name: "name", label: "Piece", as: "text" },
  { name: "longMm", label: "Long", as: "length" },
  { name: "shortMm", label: "Short", as: "length" },
  { name: "count", label: "Of each sheet", as: "number" },
];
const MOST_SIZES = 4;

/** Sheets of a box cut into prints and strips: drawn, in the order of the fence, and one line to memorise. */
export function CutPage() {
  const { id = "" } = useParams();
  const stores = useStores();
  if (stores.error) throw stores.error;
  const paper = stores.data?.papers.find((p) => p.id === id);
  return stores.data && paper ? (
    <Cutting key={paper.id} paper={paper} unit={stores.data.units.length ?? "cm"} />
  ) : (
    <PlaceFrame className="stores">
      <main className="frame-main rolls-main">{stores.data && <p>This box is on no shelf.</p>}</main>
    </PlaceFrame>
  );
}

function Cutting(props: { paper: Stores["papers"][number]; unit: string }) {
  const { paper, unit } = props;
  const navigate = useNavigate();
  const client = useQueryClient();
  const [rows, wantRows] = useState<Texts[]>([{ name: "strip", longMm: "", shortMm: "", count: "4" }]);
  const [sheets, setSheets] = useState("1");
  const [first, setFirst] = useState<number>();
  // Another wish is another plan: what was cut first belonged to the one before.
  const setRows = (wanted: Texts[]) => {
    wantRows(wanted);
    setFirst(undefined);
  };
  const [aloud, setAloud] = useState(false);
  const sheetsRead = parseQuantity(sheets);
  const asked: CuttingAsked = {
    paperId: paper.id,
    sheets: sheetsRead.kind === "error" ? 1 : sheetsRead.value,
    wanted: rows.map((row) => read(FACTS, row, unit, true).body),
    ...(first !== undefined && { firstMm: first }),
  };
  const complete =
    sheetsRead.kind !== "error" &&
    rows.every((row) => (row["longMm"] ?? "") !== "" && (row["shortMm"] ?? "") !== "");
  const plan = useQuery<Cut, Problem>({
    queryKey: ["cutting", asked],
    enabled: complete,
    retry: false,
    placeholderData: (before) => before,
    queryFn: () =>
      unwrap(api.POST("/api/cutting", { body: asked })).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
  const done = useMutation<Stores, Problem>({
    mutationFn: () =>
      unwrap(
        api.POST("/api/cutting/done", {
          body: { paperId: asked.paperId, sheets: asked.sheets, wanted: asked.wanted },
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (stores) => {
      client.setQueryData(["stores"], stores);
      void navigate(`/stores?thing=${paper.id}`);
    },
  });
  const card = useMutation<Window | null, Problem>({ mutationFn: () => openCard(asked) });
  const problem = plan.error ?? done.error ?? card.error;
  const found = complete && !plan.error ? plan.data : undefined;
  if (aloud && found) {
    return (
      <CutAloud plan={found} paperId={paper.id} room={roomOf(found.room)} onLeave={() => setAloud(false)} />
    );
  }
  return (
    <PlaceFrame className="stores">
      <aside className="column rolls-column" aria-label="How it is done">
        <Wordmark />
        <h1>Cut</h1>
        <p>{paper.name}</p>
        <p className="rolls-hint">
          Guard down, fingers behind the bar, the store closed. In the dark a torn edge is safer than
          scissors. Not when tired.
        </p>
        <p className="rolls-hint">
          Rehearse the fences on waste paper in the light. Cutting colour paper is a dark step: learn the line
          by heart.
        </p>
      </aside>
      <main className="frame-main rolls-main">
        <Sheet paper={paper} plan={found} unit={unit} />
      </main>
      <aside className="panel dense" aria-label="What is cut">
        <h2>
          From {length(paper.widthMm, unit)} × {length(paper.heightMm, unit)} {unit}
        </h2>
        {rows.map((row, i) => (
          <div className="field-row cut-row" key={i}>
            {FACTS.map((fact) => (
              <TextField
                key={fact.name}
                label={fact.label}
                value={row[fact.name] ?? ""}
                {...(fact.as === "length" && { unit })}
                longest={20}
                error={
                  read(FACTS, row, unit, true).problems[fact.name] ??
                  problem?.at(`/wanted/${String(i)}/${fact.name}`)
                }
                onChange={(text) =>
                  setRows(rows.map((now, at) => (at === i ? { ...now, [fact.name]: text } : now)))
                }
              />
            ))}
          </div>
        ))}
        <div className="field-row cut-row">
          {rows.length < MOST_SIZES && (
            <Button
              size="small"
              onClick={() => setRows([...rows, { name: `print ${String(rows.length)}`, count: "1" }])}
            >
              Another size
            </Button>
          )}
          {rows.length > 1 && (
            <Button size="small" onClick={() => setRows(rows.slice(0, -1))}>
              One size less
            </Button>
          )}
          <TextField
            label="Sheets at once"
            narrow
            value={sheets}
            error={sheetsRead.kind === "error" ? sheetsRead.message : problem?.at("/sheets")}
            onChange={setSheets}
          />
        </div>
        {found && <Steps plan={found} first={first} onFirst={setFirst} />}
        <Verdict
          headline={
            complete && plan.isFetching
              ? "Looking for the fewest settings …"
              : found
                ? found.line
                : problem
                  ? "These do not come out."
                  : "What is to be cut?"
          }
          why={
            found?.headline ??
            problem?.at("/wanted") ??
            problem?.at("/firstMm") ??
            (problem && problem.errors.length === 0
              ? problem.message
              : "Give each size its long and its short side.")
          }
          restsOn={found?.spoils ?? []}
        >
          {found && (
            <Button
              type="primary"
              className="on-dark"
              disabled={plan.isPlaceholderData}
              loading={done.isPending}
              onClick={() => done.mutate()}
            >
              It is cut: pieces into the box
            </Button>
          )}
          {found && found.steps.length > 0 && (
            <>
              <Button
                className="on-dark-quiet"
                disabled={plan.isPlaceholderData}
                onClick={() => {
                  openAudio();
                  if (roomOf(found.room) === "blackout") takeWholeScreen();
                  setAloud(true);
                }}
              >
                Say it in the dark
              </Button>
              <Button
                className="on-dark-quiet"
                disabled={plan.isPlaceholderData}
                loading={card.isPending}
                onClick={() => card.mutate()}
              >
                Card
              </Button>
            </>
          )}
          <Button className="on-dark-quiet" onClick={() => void navigate(`/stores?thing=${paper.id}`)}>
            Leave it
          </Button>
        </Verdict>
      </aside>
    </PlaceFrame>
  );
}

/** The card opens beside the page, to be printed. */
async function openCard(asked: CuttingAsked): Promise<Window | null> {
  const answer = await fetch("/api/cutting/card", {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify(asked),
  }).catch(() => undefined);
  if (!answer?.ok) throw toProblem(await answer?.json().catch(() => undefined));
  return window.open(URL.createObjectURL(await answer.blob()), "_blank");
}

function Steps(props: { plan: Cut; first: number | undefined; onFirst: (mm: number | undefined) => void }) {
  const { plan } = props;
  return (
    <>
      <table className="readings cut-steps">
        <thead>
          <tr>
            <th scope="col">Do</th>
            <th scope="col">Fence, {plan.unit}</th>
            <th scope="col">Cuts</th>
          </tr>
        </thead>
        <tbody>
          {plan.steps.map((step, i) => (
            <tr key={i}>
              <td>{step.words}</td>
              <td>{step.again ? "stays" : <b>{step.fence}</b>}</td>
              <td>{step.cuts}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="cut-facts">
        {plan.offcuts.length > 0 && <li>Left over: {plan.offcuts.join(", ")}.</li>}
        {plan.cost !== undefined && <li>The sheets cost {plan.cost.toFixed(2)} of your money.</li>}
        {plan.feeds.map((feed) => (
          <li key={feed}>{feed}</li>
        ))}
        {(props.first === undefined ? plan.others : []).map((other) => (
          <li key={other.fenceMm}>
            {other.text} first comes out too, with other offcuts.{" "}
            <Button size="small" type="link" onClick={() => props.onFirst(other.fenceMm)}>
              It was cut first
            </Button>
          </li>
        ))}
        {props.first !== undefined && (
          <li>
            Planned from what the first cut left.{" "}
            <Button size="small" type="link" onClick={() => props.onFirst(undefined)}>
              Back to the best order
            </Button>
          </li>
        )}
      </ul>
    </>
  );
}

/** The sheet to scale, with every piece on it where it comes from. */
function Sheet(props: { paper: Stores["papers"][number]; plan: Cut | undefined; unit: string }) {
  const { paper, plan, unit } = props;
  const width = plan?.sheetWidthMm ?? paper.widthMm;
  const height = plan?.sheetHeightMm ?? paper.heightMm;
  return (
    <figure className="cut-sheet">
      <svg
        viewBox={`0 0 ${String(width)} ${String(height)}`}
        role="img"
        aria-label="The sheet with its pieces"
      >
        <rect className="paper" x={0} y={0} width={width} height={height} />
        {plan?.places.map((place, i) => (
          <g key={i} className={place.name === "" ? "offcut" : "piece"}>
            <rect x={place.leftMm} y={place.topMm} width={place.widthMm} height={place.heightMm} />
            <text
              x={place.leftMm + place.widthMm / 2}
              y={place.topMm + place.heightMm / 2}
              fontSize={Math.max(4, Math.min(9, place.widthMm / 9))}
            >
              {place.name === ""
                ? ""
                : `${place.name} ${length(place.widthMm, unit)} × ${length(place.heightMm, unit)}`}
            </text>
          </g>
        ))}
      </svg>
      <figcaption>
        {plan
          ? `${String(Math.round(100 * plan.usedShare))} % of the sheet is used.`
          : `A sheet of ${length(width, unit)} × ${length(height, unit)} ${unit}.`}
      </figcaption>
    </figure>
  );
}
