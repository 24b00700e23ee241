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
import { number } from "../../shared/units/format";
import { parseQuantity } from "../../shared/units/parse";
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
  return (
    <PlaceFrame className="stores">
      {stores.data && paper ? (
        <Cutting key={paper.id} paper={paper} unit={stores.data.units.length ?? "cm"} />
      ) : (
        <main className="frame-main rolls-main">{stores.data && <p>This box is on no shelf.</p>}</main>
      )}
    </PlaceFrame>
  );
}

function Cutting(props: { paper: Stores["papers"][number]; unit: string }) {
  const { paper, unit } = props;
  const navigate = useNavigate();
  const client = useQueryClient();
  const [rows, setRows] = useState<Texts[]>([{ name: "strip", longMm: "", shortMm: "", count: "4" }]);
  const [sheets, setSheets] = useState("1");
  const sheetsRead = parseQuantity(sheets);
  const asked: CuttingAsked = {
    paperId: paper.id,
    sheets: sheetsRead.kind === "error" ? 1 : sheetsRead.value,
    wanted: rows.map((row) => read(FACTS, row, unit, true).body),
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
      unwrap(api.POST("/api/cutting/done", { body: asked })).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (stores) => {
      client.setQueryData(["stores"], stores);
      void navigate(`/stores?thing=${paper.id}`);
    },
  });
  const problem = plan.error ?? done.error;
  const found = complete && !plan.error ? plan.data : undefined;
  return (
    <>
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
        <Sheet paper={paper} plan={found} />
      </main>
      <aside className="panel dense" aria-label="What is cut">
        <h2>
          From {number(paper.widthMm)} × {number(paper.heightMm)} mm
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
        {found && <Steps plan={found} />}
        <Verdict
          headline={found ? found.line : problem ? "These do not come out." : "What is to be cut?"}
          why={
            found?.headline ??
            problem?.at("/wanted") ??
            (problem && problem.errors.length === 0
              ? problem.message
              : "Give each size its long and its short side.")
          }
          restsOn={found?.spoils ?? []}
        >
          {found && (
            <Button type="primary" className="on-dark" loading={done.isPending} onClick={() => done.mutate()}>
              It is cut: pieces into the box
            </Button>
          )}
          <Button className="on-dark-quiet" onClick={() => void navigate(`/stores?thing=${paper.id}`)}>
            Leave it
          </Button>
        </Verdict>
      </aside>
    </>
  );
}

function Steps(props: { plan: Cut }) {
  return (
    <table className="readings cut-steps">
      <thead>
        <tr>
          <th scope="col">Do</th>
          <th scope="col">Fence</th>
          <th scope="col">Cuts</th>
        </tr>
      </thead>
      <tbody>
        {props.plan.steps.map((step, i) => (
          <tr key={i}>
            <td>{step.words}</td>
            <td>{step.again ? "stays" : <b>{number(step.fenceMm)}</b>}</td>
            <td>{step.cuts}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The sheet to scale, with every piece on it where it comes from. */
function Sheet(props: { paper: Stores["papers"][number]; plan: Cut | undefined }) {
  const { paper, plan } = props;
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
              {place.name === "" ? "" : `${place.name} ${number(place.widthMm)} × ${number(place.heightMm)}`}
            </text>
          </g>
        ))}
      </svg>
      <figcaption>
        {plan
          ? `${String(Math.round(100 * plan.usedShare))} % of the sheet is used.`
          : `A sheet of ${number(width)} × ${number(height)} mm.`}
      </figcaption>
    </figure>
  );
}
