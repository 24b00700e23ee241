import { Button } from "antd";
import { useNavigate } from "react-router";
import { useSlateContext } from "../../app/SlateFrame";
import type { SlateView } from "../../shared/api/client";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Shelf } from "../../shared/ui/Shelf";
import { useRoom } from "../../shared/room/room";
import { Verdict } from "../../shared/ui/Verdict";
import { RecipeSheet } from "./RecipeSheet";

/** The final recipe on one page, and the slate as a file. */
export function KeepPage() {
  const { slate } = useSlateContext();
  const navigate = useNavigate();
  const print = slate.sheets.find((s) => s.id === slate.acceptedSheetId);
  return (
    <>
      <main className="stage scrolls keep-stage">
        <h1 className="visually-hidden">Keep</h1>
        {print ? (
          <RecipeSheet slate={slate} print={print} />
        ) : (
          <p className="empty-line">No print is accepted yet. Its recipe will stand here on one page.</p>
        )}
      </main>
      <aside className="panel" aria-label="Keep">
        <h2>Keep</h2>
        <p className="lead">
          The file holds everything of this slate: frame, recipes, sheets, what the lamp did, readings and
          pictures. It can be taken in on another bench without loss.
        </p>
        <Waste slate={slate} />
        {slate.subject.toBeAsked && (
          <p className="note" role="note">
            A person on it has not agreed to be shown. Ask before this file or a print with its label is given
            away; what was answered is kept at the frame, in Rolls.
          </p>
        )}
        <KeepVerdict slate={slate} accepted={print?.label} />
        <h3>Not needed now?</h3>
        <p className="field-hint">
          {slate.putAwayAt === undefined
            ? "Put away, a slate leaves the Bench and loses nothing."
            : "It is put away: it stands under “Put away” on the Bench."}
          {slate.deletable &&
            (slate.sheets.some((sheet) => sheet.state !== "ABANDONED")
              ? " It is practice: nothing real was exposed for it, so it can be deleted."
              : " Nothing was exposed for it, so it can be deleted.")}
        </p>
        <Shelf
          thing={{ kind: "slate", id: slate.id }}
          title={slate.naming.title}
          away={slate.putAwayAt !== undefined}
          deletable={slate.deletable}
          deletes
          onDeleted={() => void navigate("/")}
        />
      </aside>
    </>
  );
}

function Waste(props: { slate: SlateView }) {
  const made = props.slate.sheets;
  const used = made.reduce((sum, s) => sum + s.paperShare, 0);
  return (
    <dl className="facts">
      <div>
        <dt>Sheets under the lamp</dt>
        <dd>{made.length}</dd>
      </div>
      <div>
        <dt>Paper used</dt>
        <dd>{used.toFixed(1)} sheets</dd>
      </div>
      <div>
        <dt>Given up</dt>
        <dd>{made.filter((s) => s.state === "ABANDONED").length}</dd>
      </div>
    </dl>
  );
}

function KeepVerdict(props: { slate: SlateView; accepted: string | undefined }) {
  const { slate, accepted } = props;
  const navigate = useNavigate();
  // The browser's own dialogs obey no room.
  const white = useRoom() === "white";
  return (
    <Verdict
      headline={
        accepted ? `${accepted} is the ${slate.subject.proof ? "standard" : "print"}.` : slate.next.headline
      }
      why={
        accepted
          ? `Save the slate as a file, or print the page for the box${white ? "" : ": both in white light"}.`
          : slate.next.why
      }
    >
      {accepted ? (
        <>
          <Button
            type="primary"
            className="on-dark"
            disabled={!white}
            href={`/api/slates/${slate.id}/export`}
            download
          >
            Save slate as a file
          </Button>
          <Button className="on-dark-quiet" disabled={!white} onClick={() => window.print()}>
            Print this page
          </Button>
          {slate.subject.proof && (
            <Button className="on-dark-quiet" onClick={() => void navigate("/rolls")}>
              To its frames
            </Button>
          )}
        </>
      ) : (
        <>
          <NextStepButton slateId={slate.id} next={slate.next} />
          <Button className="on-dark-quiet" href={`/api/slates/${slate.id}/export`} download>
            Save slate as a file
          </Button>
        </>
      )}
    </Verdict>
  );
}
