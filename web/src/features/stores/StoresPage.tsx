import { Button } from "antd";
import { useNavigate, useSearchParams } from "react-router";
import { PlaceFrame } from "../../app/PlaceFrame";
import { Wordmark } from "../../app/Wordmark";
import { type Stores, preferUnits, retire, useStoresChange } from "../../shared/api/stores";
import { useStores } from "../../shared/api/slate";
import { Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { Verdict } from "../../shared/ui/Verdict";
import { seconds } from "../../shared/units/format";
import { type ShelfOf, type Thing, shelvesOf } from "./shelves";
import { ThingDrawing } from "./ThingDrawing";
import { NewThing, ThingPanel } from "./ThingPanel";

const LENGTHS = [
  { value: "mm", label: "mm" },
  { value: "cm", label: "cm" },
  { value: "in", label: "inch" },
] as const;
const TEMPERATURES = [
  { value: "C", label: "°C" },
  { value: "F", label: "°F" },
] as const;

/** What one prints with, on its shelves; the chosen thing with each constant and where it comes from. */
export function StoresPage() {
  const stores = useStores();
  if (stores.error) throw stores.error;
  return (
    <PlaceFrame className="stores">
      <aside className="column rolls-column" aria-label="About stores">
        <Wordmark />
        <h1>Stores</h1>
        <p>What you print with. A constant is a default until you have measured it.</p>
        {stores.data && <About stores={stores.data} />}
      </aside>
      {stores.data ? <Shelves stores={stores.data} /> : <main className="frame-main rolls-main" />}
    </PlaceFrame>
  );
}

function About(props: { stores: Stores }) {
  const { stores } = props;
  const prefer = useStoresChange(preferUnits);
  return (
    <>
      <nav aria-label="Shelves">
        <ul className="shelf-list">
          {shelvesOf(stores).map((shelf) => (
            <li key={shelf.key}>
              <a href={`#shelf-${shelf.key}`}>{shelf.title}</a>
            </li>
          ))}
        </ul>
      </nav>
      <p className="rolls-hint">
        {stores.found} of {stores.constants} constants are measured or your own.
      </p>
      <Ways
        label="Lengths in"
        value={stores.units.length ?? "cm"}
        ways={LENGTHS}
        onChange={(length) => prefer.mutate({ length })}
      />
      <Ways
        label="Temperatures in"
        value={stores.units.temperature ?? "C"}
        ways={TEMPERATURES}
        onChange={(temperature) => prefer.mutate({ temperature })}
      />
      <p className="rolls-hint">Workable times</p>
      <div className="field-row">
        <QuantityField
          label="from"
          shown={seconds(stores.units.shortestSeconds ?? 0)}
          unit="s"
          error={prefer.error?.at("/shortestSeconds")}
          onCommit={(c) => prefer.mutateAsync({ shortestSeconds: c.value })}
        />
        <QuantityField
          label="to"
          shown={seconds(stores.units.longestSeconds ?? 0)}
          unit="s"
          error={prefer.error?.at("/longestSeconds")}
          onCommit={(c) => prefer.mutateAsync({ longestSeconds: c.value })}
        />
      </div>
    </>
  );
}

function Shelves(props: { stores: Stores }) {
  const { stores } = props;
  const [search, setSearch] = useSearchParams();
  const shelves = shelvesOf(stores);
  const chosenId = search.get("thing");
  const adding = shelves.find((s) => s.key === search.get("add"));
  const found = shelves
    .flatMap((shelf) => shelf.things(stores).map((thing) => ({ shelf, thing })))
    .find(({ thing }) => thing.id === chosenId);
  const choose = (id: string) => setSearch({ thing: id }, { replace: true });
  return (
    <>
      <main className="frame-main rolls-main shelves">
        {shelves.map((shelf) => (
          <Shelf
            key={shelf.key}
            shelf={shelf}
            things={shelf.things(stores)}
            stores={stores}
            chosen={chosenId}
            onChoose={choose}
            onAdd={() => setSearch({ add: shelf.key }, { replace: true })}
          />
        ))}
        <Retired stores={stores} />
      </main>
      <aside className="panel dense" aria-label="The chosen thing">
        {adding ? (
          <NewThing
            key={adding.key}
            stores={stores}
            shelf={adding}
            onDone={(now) => {
              const before = new Set(adding.things(stores).map((t) => t.id));
              const made = adding.things(now).find((t) => !before.has(t.id));
              setSearch(made ? { thing: made.id } : {}, { replace: true });
            }}
          />
        ) : found ? (
          <ThingPanel key={found.thing.id} stores={stores} shelf={found.shelf} thing={found.thing} />
        ) : (
          <>
            <h2>Nothing is picked</h2>
            <p className="lead">Pick a thing on a shelf to see what is known of it.</p>
          </>
        )}
        <Next stores={stores} />
      </aside>
    </>
  );
}

function Shelf(props: {
  shelf: ShelfOf;
  things: readonly Thing[];
  stores: Stores;
  chosen: string | null;
  onChoose: (id: string) => void;
  onAdd: () => void;
}) {
  const { shelf, things } = props;
  return (
    <section className="shelf-row" id={`shelf-${shelf.key}`} aria-label={shelf.title}>
      <h2>{shelf.title}</h2>
      <ul>
        {things.map((thing) => (
          <li key={thing.id}>
            <button
              type="button"
              className="shelf-thing"
              aria-pressed={thing.id === props.chosen}
              onClick={() => props.onChoose(thing.id)}
            >
              <ThingDrawing drawing={shelf.drawing} full={fullness(props.stores, thing.id)} />
              <b>{thing.name}</b>
              {thing.lines.map((line) => (
                <span key={line}>{line}</span>
              ))}
            </button>
          </li>
        ))}
        <li>
          <button type="button" className="shelf-add" onClick={props.onAdd}>
            Add {article(shelf.one)}
          </button>
        </li>
      </ul>
    </section>
  );
}

function article(one: string): string {
  return `${/^[aeiou]/.test(one) ? "an" : "a"} ${one}`;
}

/** Share of a box that is left, where it was counted. */
function fullness(stores: Stores, id: string): number | undefined {
  const paper = stores.papers.find((p) => p.id === id);
  return paper?.counted === true ? paper.sheetsLeft / paper.sheetsInBox : undefined;
}

function Retired(props: { stores: Stores }) {
  const back = useStoresChange(retire);
  const { retired } = props.stores;
  if (retired.length === 0) return null;
  return (
    <details className="put-away">
      <summary>Retired ({retired.length})</summary>
      <ul className="retired">
        {retired.map((thing) => (
          <li key={thing.id}>
            {thing.name}{" "}
            <Button
              size="small"
              loading={back.isPending && back.variables.id === thing.id}
              onClick={() => back.mutate({ id: thing.id, retired: false })}
            >
              Take it into use again
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

function Next(props: { stores: Stores }) {
  const { suggested, lenses } = props.stores;
  const navigate = useNavigate();
  if (!suggested) {
    return (
      <Verdict
        headline="Nothing more to measure tonight."
        why="One test an evening is enough; the rest stays a default with its limits."
      />
    );
  }
  const path = lenses.some((l) => l.id === suggested.thingId) ? "lenses" : "enlargers";
  return (
    <Verdict headline={suggested.headline} why={suggested.why}>
      <Button
        type="primary"
        className="on-dark"
        onClick={() => void navigate(`/stores/${path}/${suggested.thingId}/measure/${suggested.name}`)}
      >
        Start the test
      </Button>
    </Verdict>
  );
}
