import { Button, Checkbox } from "antd";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { useSlateContext } from "../../app/SlateFrame";
import type { SlateView } from "../../shared/api/client";
import { scriptOf, stationOf } from "../../shared/expose/planned";
import { FocusLine } from "../../shared/expose/FocusLine";
import { HandsFree } from "../../shared/expose/handsFree";
import { RunCard } from "../../shared/expose/RunCard";
import { ThisScreen } from "./ThisScreen";
import { useBeginSheet } from "../../shared/expose/useBeginSheet";
import { useKeys } from "../../shared/keys/keys";
import { prepare, play, speak } from "../../shared/sound/player";
import type { Sound } from "../../shared/sound/score";
import { SAID, vocabulary } from "../../shared/sound/words";
import { ScriptTable } from "../../shared/ui/ScriptTable";
import { Verdict } from "../../shared/ui/Verdict";
import { seconds } from "../../shared/units/format";
import { answer, answeredAt } from "../../shared/expose/byHand";
import { listOf } from "./list";

/** Before the light goes out: what one does and hears in order, what to look at by hand, the rehearsal; then black. */
export function BeforeDarkPage() {
  const { slate } = useSlateContext();
  const { kind = "" } = useParams();
  const navigate = useNavigate();
  const begin = useBeginSheet(slate);
  const script = scriptOf(slate, kind);
  const station = stationOf(slate, kind);
  const possible = script.length > 0 && !begin.isPending;
  const goDark = () => {
    if (!possible) return;
    prepare(vocabulary(script));
    answer(new Date());
    begin.mutate(kind);
  };
  const rehearse = () => void navigate(`/slates/${slate.id}/rehearsal/${kind}`);
  const back = () => void navigate(`/slates/${slate.id}/${station}`);
  useKeys({ e: goDark, r: rehearse, Escape: back });
  const total = script.reduce((sum, s) => sum + s.setSeconds * s.presses, 0);
  return (
    <>
      <main className="stage dark-plan">
        <h1>{script.length === 1 ? "One exposure" : `${String(script.length)} exposures`}, then the drum</h1>
        <div className="dark-script">
          <ScriptTable script={script} />
        </div>
        <Areas slate={slate} />
        <div className="dark-script">
          <SoundTable />
        </div>
        <p className="dark-areas">
          In the dark <kbd>Space</kbd> is the next thing, <kbd>R</kbd> says it again, <kbd>X</kbd> ends the
          light, <kbd>U</kbd> takes back, <kbd>B</kbd> leaves, <kbd>A</kbd> held is the alarm, <kbd>⌫</kbd>{" "}
          <kbd>⌫</kbd> gives the sheet up. Foot: short next, long again, two seconds back.
        </p>
      </main>
      <aside className="panel dense" aria-label="Before the dark">
        <h2>Before the dark</h2>
        <Changed slate={slate} />
        <List slate={slate} script={script} />
        <FocusLine slate={slate} />
        <HandsFree exposures={script.length} lamp={slate.setup.lamp} />
        <ThisScreen />
        <Verdict
          headline={`${seconds(total)} s of light, black until the drum is closed.`}
          why="A black screen is no proof of darkness: cover it. Rehearse once, with waste paper."
          error={begin.error ? (begin.error.at("/kind") ?? begin.error.message) : undefined}
        >
          <Button
            type="primary"
            className="on-dark"
            disabled={!possible}
            loading={begin.isPending}
            onClick={goDark}
          >
            Go dark <kbd>E</kbd>
          </Button>
          <Button className="on-dark-quiet" disabled={script.length === 0} onClick={rehearse}>
            Rehearse <kbd>R</kbd>
          </Button>
          <RunCard slate={slate} kind={kind} />
          <Button className="on-dark-quiet" onClick={back}>
            Back <kbd>Esc</kbd>
          </Button>
        </Verdict>
      </aside>
    </>
  );
}

function Changed(props: { slate: SlateView }) {
  const { differences, sheets } = props.slate;
  if (sheets.length === 0) return <p className="lead">The first sheet of this slate.</p>;
  return (
    <p className="lead">
      {differences.length === 0
        ? "Nothing changed since the last sheet."
        : `Changed since the last sheet: ${differences.map((d) => `${d.part} ${d.text}`).join(", ")}.`}
    </p>
  );
}

/** What was answered once this session is folded away; what changed is asked again. */
function List(props: { slate: SlateView; script: ReturnType<typeof scriptOf> }) {
  const items = listOf(props.slate, props.script);
  const [answered] = useState(answeredAt);
  const [whole, setWhole] = useState(answered === undefined);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const shown = whole ? items : items.filter((i) => i.always);
  const tick = (words: string) =>
    setTicked((now) => {
      const next = new Set(now);
      if (!next.delete(words)) next.add(words);
      return next;
    });
  return (
    <>
      <ul className="dark-list" aria-label="Look at by hand">
        {shown.map(({ words }) => (
          <li key={words}>
            <Checkbox checked={ticked.has(words)} onChange={() => tick(words)}>
              {words}
            </Checkbox>
            {words.startsWith("Voice") && (
              <button type="button" className="link" onClick={() => speak([SAID.voiceHeard])}>
                Speak
              </button>
            )}
          </li>
        ))}
      </ul>
      {answered !== undefined && (
        <button type="button" className="link" onClick={() => setWhole(!whole)}>
          {whole ? "Only what changed" : `The whole list was answered at ${answered}. Show it`}
        </button>
      )}
    </>
  );
}

/** Areas are spoken by their numbers. */
function Areas(props: { slate: SlateView }) {
  const { areas } = props.slate.local;
  if (areas.length === 0) return null;
  return (
    <p className="dark-areas">
      The voice says {areas.map((a, i) => `area ${String(i + 1)} for ${a.name ?? ""}`).join(", ")}.
    </p>
  );
}

const HEARD: readonly { hear: string; means: string; notes: readonly [number, Sound][] }[] = [
  {
    hear: "click, ticks, two clicks",
    means: "lamp on, each second, off",
    notes: [
      [0, "lampOn"],
      [1, "tick"],
      [2, "tick"],
      [3, "lampOff"],
    ],
  },
  {
    hear: "low … high",
    means: "hold back … hands out",
    notes: [
      [0, "holdBegins"],
      [1, "holdEnds"],
    ],
  },
  {
    hear: "rising … falling",
    means: "burn opens … closes",
    notes: [
      [0, "burnOpens"],
      [1.2, "burnCloses"],
    ],
  },
  { hear: "a knock", means: "move the card", notes: [[0, "knock"]] },
  { hear: "beats", means: "hands free: the lamp comes after eight", notes: [[0, "beat"]] },
  { hear: "a buzz", means: "not taken, wait for words", notes: [[0, "mistake"]] },
  { hear: "a wail", means: "full screen is left: cover the screen", notes: [[0, "alarm"]] },
];

function SoundTable() {
  return (
    <table className="rows sounds">
      <thead>
        <tr>
          <th scope="col">You hear</th>
          <th scope="col">It means</th>
        </tr>
      </thead>
      <tbody>
        {HEARD.map(({ hear, means, notes }) => (
          <tr key={hear}>
            <td>
              <button
                type="button"
                className="link"
                aria-label={`Hear ${hear}`}
                onClick={() => play(notes.map(([at, sound]) => ({ at, sound })))}
              >
                {hear}
              </button>
            </td>
            <td>{means}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
