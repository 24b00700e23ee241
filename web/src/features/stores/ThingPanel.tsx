import { Button } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { Constant, Stores } from "../../shared/api/stores";
import { SHELF_CALLS, enterConstant, retire, takeBack, useStoresChange } from "../../shared/api/stores";
import { parseQuantity } from "../../shared/units/parse";
import { TextField } from "../../shared/ui/TextField";
import type { ShelfOf, Thing } from "./shelves";
import { ThingForm } from "./ThingForm";
import { OWN_TESTS, testOf } from "./tests";

/** Constants that may be said without a test, and in which unit. */
const ENTERED: Record<string, string> = {
  LAG: "s",
  DRY_DOWN: "%",
  SAFE_MINUTES: "min",
  FOG_MINUTES: "min",
  STRAY_MINUTES: "min",
  COIN_MINUTES: "min",
  RECIPROCITY: "",
  ALIGNMENT: "mm",
  DIAL_END: "points",
};

/** The chosen thing: what is known of it and from what, what can be measured, and its facts. */
export function ThingPanel(props: { stores: Stores; shelf: ShelfOf; thing: Thing }) {
  const { stores, shelf, thing } = props;
  const change = useStoresChange((body: Record<string, unknown>) => save(shelf, thing.id, body));
  const away = useStoresChange(retire);
  const navigate = useNavigate();
  const [sure, setSure] = useState(false);
  return (
    <section>
      <h2>{thing.name}</h2>
      <p className="lead">{thing.lines.join(", ")}</p>
      {thing.constants.map((constant) => (
        <ConstantLine
          key={constant.name + (constant.lensId ?? "")}
          stores={stores}
          shelf={shelf}
          thing={thing}
          constant={constant}
        />
      ))}
      {shelf.path === "papers" && (
        <p>
          <Button onClick={() => void navigate(`/stores/papers/${thing.id}/cut`)}>Cut its sheets</Button>{" "}
          {stores.papers.length > 1 && (
            <Button onClick={() => void navigate(`/stores/papers/${thing.id}/measure/BATCH_SPEED`)}>
              Compare with another box
            </Button>
          )}
        </p>
      )}
      <details className="thing-change">
        <summary>Change what is said of it</summary>
        <ThingForm
          key={JSON.stringify(thing.values)}
          facts={shelf.facts}
          values={thing.values}
          unit={stores.units.length ?? "cm"}
          saves="Keep it"
          saving={change.isPending}
          problem={change.error}
          pointer={pointerOf(shelf)}
          onSave={(body) => change.mutate(body)}
        />
        <p className="field-hint">Sheets that were exposed stand on what it was then.</p>
        {sure ? (
          <p>
            It is offered no longer; all its sheets stay.{" "}
            <Button
              size="small"
              loading={away.isPending}
              onClick={() => away.mutate({ id: thing.id, retired: true })}
            >
              Retire {thing.name}
            </Button>{" "}
            <Button size="small" onClick={() => setSure(false)}>
              Keep it in use
            </Button>
          </p>
        ) : (
          <Button size="small" onClick={() => setSure(true)}>
            Retire it …
          </Button>
        )}
        {away.error && (
          <p className="field-message" role="alert">
            {away.error.message}
          </p>
        )}
      </details>
    </section>
  );
}

/** A new thing for a shelf. */
export function NewThing(props: { stores: Stores; shelf: ShelfOf; onDone: (stores: Stores) => void }) {
  const { stores, shelf } = props;
  const add = useStoresChange((body: Record<string, unknown>) => save(shelf, undefined, body));
  return (
    <section>
      <h2>Another {shelf.one}</h2>
      <p className="lead">What is left empty is a default, and says so.</p>
      <ThingForm
        facts={shelf.facts}
        unit={stores.units.length ?? "cm"}
        saves="Put it on the shelf"
        saving={add.isPending}
        problem={add.error}
        pointer={pointerOf(shelf)}
        onSave={(body) => add.mutate(body, { onSuccess: props.onDone })}
      />
    </section>
  );
}

function save(shelf: ShelfOf, id: string | undefined, body: Record<string, unknown>): Promise<Stores> {
  const calls = SHELF_CALLS[shelf.path];
  const sent = shelf.kind === undefined ? body : wrapped(shelf.kind, body, id === undefined);
  return id === undefined ? calls.add(sent as never) : calls.change(id, sent as never);
}

/** Things that share a shelf of the server say their kind, and their facts apart from their name. */
function wrapped(kind: string, body: Record<string, unknown>, isNew: boolean) {
  const { name, ...facts } = body;
  return { ...(isNew && { kind }), name, facts };
}

function pointerOf(shelf: ShelfOf) {
  return (name: string) => (shelf.kind !== undefined && name !== "name" ? `/facts/${name}` : `/${name}`);
}

function ConstantLine(props: { stores: Stores; shelf: ShelfOf; thing: Thing; constant: Constant }) {
  const { stores, thing, constant } = props;
  const navigate = useNavigate();
  const back = useStoresChange(takeBack);
  const enter = useStoresChange(enterConstant);
  const [typing, setTyping] = useState(false);
  const measurable = testOf(constant.name, thing.id, stores, constant.lensId) !== undefined;
  const lens = constant.lensId === undefined ? "" : `?lens=${constant.lensId}`;
  const unit = ENTERED[constant.name];
  return (
    <div className="constant">
      <p>
        <span>{constant.label}</span>
        <b>{constant.text}</b> <span className="constant-source">{constant.limit}</span>
      </p>
      <p className="constant-source">
        {constant.source}
        {constant.foundAt !== undefined && ` ${day(constant.foundAt)}`}{" "}
        {measurable && (
          <Button
            size="small"
            type="link"
            onClick={() =>
              void navigate(`/stores/${props.shelf.path}/${thing.id}/measure/${constant.name}${lens}`)
            }
          >
            {constant.name === "GELS" || (constant.name === "LIGHTS" && constant.id === undefined)
              ? "Enter them"
              : constant.id === undefined
                ? "Measure it"
                : "Measure again"}
          </Button>
        )}
        {constant.name === "FILTERS" && (
          <Button
            size="small"
            type="link"
            onClick={() =>
              void navigate(`/stores/${props.shelf.path}/${thing.id}/measure/FILTERS_BY_STEPS${lens}`)
            }
          >
            By a step negative
          </Button>
        )}
        {unit !== undefined && (
          <Button size="small" type="link" onClick={() => setTyping(!typing)}>
            Enter a value
          </Button>
        )}
        {constant.id !== undefined && (
          <Button
            size="small"
            type="link"
            loading={back.isPending}
            onClick={() => back.mutate(constant.id ?? "")}
          >
            Take back
          </Button>
        )}
      </p>
      {typing && unit !== undefined && (
        <EnterValue
          steps={OWN_TESTS[constant.name] ?? []}
          unit={unit}
          saving={enter.isPending}
          error={enter.error?.at("/value") ?? enter.error?.message}
          onEnter={(value, remark) =>
            enter.mutate(
              { id: thing.id, body: { name: constant.name, value, remark } },
              { onSuccess: () => setTyping(false) },
            )
          }
        />
      )}
    </div>
  );
}

function EnterValue(props: {
  steps: readonly string[];
  unit: string;
  saving: boolean;
  error: string | undefined;
  onEnter: (value: number, remark: string) => void;
}) {
  const [text, setText] = useState("");
  const [remark, setRemark] = useState("");
  const [unread, setUnread] = useState<string>();
  const enter = () => {
    const parsed = parseQuantity(text);
    setUnread(parsed.kind === "error" ? parsed.message : undefined);
    if (parsed.kind !== "error") props.onEnter(parsed.value, remark);
  };
  return (
    <>
      {props.steps.length > 0 && (
        <ol className="own-test">
          {props.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      )}
      <form
        className="field-row"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          enter();
        }}
      >
        <TextField
          label="Value"
          unit={props.unit}
          value={text}
          error={unread ?? props.error}
          onChange={setText}
        />
        <TextField label="From what" longest={400} value={remark} onChange={setRemark} />
        <Button htmlType="submit" loading={props.saving}>
          Keep it
        </Button>
      </form>
    </>
  );
}

function day(at: string): string {
  return new Date(at).toLocaleDateString("en-GB", { day: "numeric", month: "short" });
}
