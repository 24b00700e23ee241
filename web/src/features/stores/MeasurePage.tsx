import { useMutation } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { PlaceFrame } from "../../app/PlaceFrame";
import { Wordmark } from "../../app/Wordmark";
import type { Problem } from "../../shared/api/client";
import { toProblem } from "../../shared/api/client";
import {
  type Calibration,
  type Stores,
  readMeter,
  useCalibration,
  useKeepCalibration,
} from "../../shared/api/stores";
import { useStores } from "../../shared/api/slate";
import { parseQuantity } from "../../shared/units/parse";
import { Choice } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { type Standing, type Taken, type Test, testOf } from "./tests";

/** A calibration, reading by reading; nothing counts before it is kept. */
export function MeasurePage() {
  const { id = "", name = "" } = useParams();
  const stores = useStores();
  const [search] = useSearchParams();
  if (stores.error) throw stores.error;
  const lens = search.get("lens") ?? undefined;
  const test = stores.data && testOf(name, id, stores.data, lens);
  return (
    <PlaceFrame className="stores">
      {stores.data && test ? (
        <Measuring key={id + name + (lens ?? "")} id={id} test={test} stores={stores.data} lens={lens} />
      ) : (
        <main className="frame-main rolls-main">{stores.data && <p>There is no such test.</p>}</main>
      )}
    </PlaceFrame>
  );
}

interface Line {
  given: string;
  reading: string;
}

function taken(lines: readonly Line[]): Taken[] {
  return lines.flatMap((line) => {
    const given = parseQuantity(line.given);
    const reading = parseQuantity(line.reading);
    return given.kind === "error" || reading.kind === "error"
      ? []
      : [{ given: given.value, reading: reading.value }];
  });
}

/** Boxes of the same kind of paper, the same paper first. */
function otherBoxes(stores: Stores, id: string) {
  const own = stores.papers.find((p) => p.id === id);
  return stores.papers
    .filter((p) => p.id !== id && p.kind === own?.kind)
    .sort((a, b) => Number(b.name === own?.name) - Number(a.name === own?.name));
}

function nameOf(stores: Stores, id: string): string {
  const all = [...stores.enlargers, ...stores.lenses, ...stores.papers];
  return all.find((thing) => thing.id === id)?.name ?? "";
}

function Measuring(props: { id: string; test: Test; stores: Stores; lens: string | undefined }) {
  const { id, test, stores } = props;
  const navigate = useNavigate();
  const isLens = stores.lenses.some((l) => l.id === id);
  const boxes = otherBoxes(stores, id);
  const [typed, setTyped] = useState({ text: "", way: test.ways?.[0]?.value ?? "" });
  const [standing, setStanding] = useState<Standing>({
    enlargerId:
      [id, props.lens].find((one) => stores.enlargers.some((e) => e.id === one)) ??
      stores.enlargers[0]?.id ??
      "",
    ...(boxes[0] && { boxId: boxes[0].id }),
    lensId: isLens ? id : (props.lens ?? stores.lenses.at(1)?.id ?? stores.lenses[0]?.id ?? ""),
  });
  const [once, setOnce] = useState(String(test.once?.first ?? 0));
  const [lines, setLines] = useState<Line[]>(() =>
    test.rows.map((row) => ({ given: String(row.given), reading: "" })),
  );
  const readings = taken(lines);
  const onceRead = parseQuantity(once);
  const onceNumber = onceRead.kind === "error" ? 0 : onceRead.value;
  const onceProblem = test.once && onceRead.kind === "error" ? onceRead.message : undefined;
  const always = test.text?.always === true;
  const texts = test.text !== undefined && (always || test.ways === undefined || typed.way === "OWN");
  const whole = texts
    ? always || typed.text.trim() !== ""
    : test.pairs === true
      ? readings.length > 1
      : readings.length === lines.length;
  const asked =
    whole && onceProblem === undefined ? test.asked(id, standing, readings, onceNumber, typed) : undefined;
  const result = useCalibration(asked);
  const keep = useKeepCalibration();
  const next = lines.findIndex((line) => line.reading.trim() === "");
  const set = (index: number, change: Partial<Line>) =>
    setLines((now) => now.map((line, i) => (i === index ? { ...line, ...change } : line)));
  const meter = useMutation<number, Problem, number>({
    mutationFn: async (index) => {
      const given = parseQuantity(lines[index]?.given ?? "");
      const row = { given: given.kind === "error" ? 0 : given.value, reading: 0 };
      const asks = test.meter?.(row, standing, onceNumber);
      if (!asks) return 0;
      const shown = await readMeter(asks).catch((error: unknown) => {
        throw toProblem(error);
      });
      set(index, { reading: String(Number(shown.reading.toPrecision(4))) });
      return shown.reading;
    },
  });
  const problem = result.error ?? keep.error;
  const back = () => void navigate(`/stores?thing=${id}`);
  return (
    <>
      <aside className="column rolls-column" aria-label="How it is done">
        <Wordmark />
        <h1>{test.title}</h1>
        <p>{nameOf(stores, id)}</p>
        <ol className="measure-steps">
          {test.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
        <p className="rolls-hint">
          Mains near water: dry hands, cables out of the wet side. A lamp that burned is hot.
        </p>
      </aside>
      <main className="frame-main rolls-main">
        <p className="lead">{test.why}</p>
        <div className="field-row">
          {test.picks === "lens" && (
            <Choice
              label="The lens that is on"
              value={standing.lensId}
              options={stores.lenses.map((l) => ({ value: l.id, label: l.name }))}
              onChange={(lensId) =>
                props.lens === undefined
                  ? setStanding({ ...standing, lensId })
                  : // What was read holds for the lens it was read with: another one begins anew.
                    void navigate(`?lens=${lensId}`, { replace: true })
              }
            />
          )}
          {test.picks === "enlarger" && (
            <Choice
              label="In which enlarger"
              value={standing.enlargerId}
              options={stores.enlargers.map((e) => ({ value: e.id, label: e.name }))}
              onChange={(enlargerId) => setStanding({ ...standing, enlargerId })}
            />
          )}
          {test.picks === "box" && (
            <Choice
              label="Beside"
              value={standing.boxId ?? ""}
              options={boxes.map((b) => ({
                value: b.id,
                label: b.batch === "" ? b.name : `${b.name}, ${b.batch}`,
              }))}
              onChange={(boxId) => setStanding({ ...standing, boxId })}
            />
          )}
          {test.ways && (
            <Choice
              label={test.waysLabel ?? "How the dials are used"}
              value={typed.way}
              options={[...test.ways]}
              onChange={(way) => setTyped({ ...typed, way })}
            />
          )}
          {test.once && (
            <TextField
              label={test.once.label}
              value={once}
              error={onceProblem ?? problem?.at("/markMm")}
              onChange={setOnce}
            />
          )}
        </div>
        {texts && (
          <label className="measure-lines">
            <span>{test.text?.label}</span>
            <Input.TextArea
              rows={8}
              value={typed.text}
              placeholder={test.text?.hint ?? ""}
              status={problem?.at("/lines") === undefined ? "" : "error"}
              onChange={(e) => setTyped({ ...typed, text: e.target.value })}
            />
            {problem?.at("/lines") !== undefined && (
              <span className="field-message" role="alert">
                {problem.at("/lines")}
              </span>
            )}
          </label>
        )}
        {test.ways && result.data && (
          <ul className="measure-table">
            {result.data.why.slice(1).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
        {lines.length > 0 && (
          <Readings
            test={test}
            lines={lines}
            problem={problem ?? undefined}
            next={next}
            onChange={set}
            onMore={
              test.given === undefined
                ? undefined
                : () => setLines([...lines, { given: lines.at(-1)?.given ?? "", reading: "" }])
            }
          />
        )}
        {stores.practice && test.meter && next >= 0 && (
          <Button type="primary" loading={meter.isPending} onClick={() => meter.mutate(next)}>
            Read the simulated meter
          </Button>
        )}
        {meter.error && (
          <p className="field-message" role="alert">
            {meter.error.at("") ?? meter.error.message}
          </p>
        )}
      </main>
      <aside className="panel" aria-label="What they say">
        <h2>What the readings say</h2>
        {result.data && <Places found={result.data} />}
        <Verdict
          headline={
            result.data?.headline ??
            (problem
              ? "These readings do not fit together."
              : test.rows.length === 0
                ? "Nothing is read yet."
                : test.pairs === true
                  ? "Two marks of one light at least."
                  : `${String(lines.length - readings.length)} readings to go.`)
          }
          why={
            result.data?.why[0] ??
            (problem && capital(problem.at(test.list) ?? problem.message)) ??
            "Sheets that were exposed stay as they are; what comes rests on the new figure. It can be taken back."
          }
          restsOn={result.data?.why ?? []}
        >
          {asked && result.data && (
            <Button
              type="primary"
              className="on-dark"
              loading={keep.isPending}
              onClick={() => keep.mutate(asked, { onSuccess: back })}
            >
              Keep it
            </Button>
          )}
          <Button className="on-dark-quiet" onClick={back}>
            {result.data ? "Leave it as it was" : "Not now"}
          </Button>
        </Verdict>
      </aside>
    </>
  );
}

function Readings(props: {
  test: Test;
  lines: readonly Line[];
  problem: Problem | undefined;
  next: number;
  onChange: (index: number, change: Partial<Line>) => void;
  onMore: (() => void) | undefined;
}) {
  const { test, lines, problem } = props;
  return (
    <table className="readings">
      <thead>
        <tr>
          <th scope="col">Reading</th>
          {test.given !== undefined && <th scope="col">{test.given}</th>}
          <th scope="col">{test.reading}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line, i) => {
          const label = test.rows[i]?.label ?? `Reading ${String(i + 1)}`;
          const message =
            unread(line) ??
            (test.pairs === true
              ? ofPair(test, lines, i, problem)
              : problem?.at(`${test.list}/${String(i)}`));
          return (
            <tr key={i} aria-current={i === props.next ? "step" : undefined}>
              <th scope="row">
                {label}
                {message !== undefined && (
                  <span className="field-message" role="alert">
                    {message}
                  </span>
                )}
              </th>
              {test.given !== undefined && (
                <td>
                  <Input
                    aria-label={`${label}, ${test.given}`}
                    value={line.given}
                    onChange={(e) => props.onChange(i, { given: e.target.value })}
                  />
                </td>
              )}
              <td>
                <Input
                  aria-label={`${label}, ${test.reading}`}
                  value={line.reading}
                  status={message === undefined ? "" : "error"}
                  onChange={(e) => props.onChange(i, { reading: e.target.value })}
                />
              </td>
            </tr>
          );
        })}
      </tbody>
      {props.onMore && (
        <tfoot>
          <tr>
            <td colSpan={3}>
              <Button size="small" onClick={props.onMore}>
                One more reading
              </Button>
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}

/** "+0.04", "−0.03", "0.00". */
function signedHundredths(stops: number): string {
  const text = Math.abs(stops).toFixed(2);
  return text === "0.00" ? text : `${stops < 0 ? "−" : "+"}${text}`;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Whole pairs are sent, so what is wrong is told by the number of the whole pair; it stands at its second reading. */
function ofPair(
  test: Test,
  lines: readonly Line[],
  i: number,
  problem: Problem | undefined,
): string | undefined {
  const isRead = (row: number) => (lines[row]?.reading.trim() ?? "") !== "";
  const first = i - (i % 2);
  if (isRead(first) !== isRead(first + 1)) {
    return isRead(i) ? undefined : "Read this too, or leave both out.";
  }
  if (i === first || !isRead(i)) return undefined;
  const before = lines.filter((_, row) => row < first && row % 2 === 0 && isRead(row) && isRead(row + 1));
  return problem?.at(`${test.list}/${String(before.length)}`);
}

function unread(line: Line): string | undefined {
  const given = parseQuantity(line.given);
  if (given.kind === "error") return given.message;
  if (line.reading.trim() === "") return undefined;
  const parsed = parseQuantity(line.reading);
  return parsed.kind === "error" ? parsed.message : undefined;
}

function Places(props: { found: Calibration }) {
  const { found } = props;
  return (
    <dl className="facts">
      {found.places.length === 0 ? (
        <div>
          <dt>{found.constant.label}</dt>
          <dd>
            {found.constant.text} <small>{found.constant.limit}</small>
          </dd>
        </div>
      ) : (
        found.places.map((place) => (
          <div key={place.at}>
            <dt>{place.at}</dt>
            <dd>
              {signedHundredths(place.stops)} stop <small>± {place.limitStops.toFixed(2)}</small>
            </dd>
          </div>
        ))
      )}
    </dl>
  );
}
