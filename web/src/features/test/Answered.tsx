import { Button } from "antd";
import { useNavigate } from "react-router";
import {
  type Schemas,
  type SheetView,
  type SlateView,
  type VerdictView,
  api,
  unwrap,
} from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { Verdict } from "../../shared/ui/Verdict";
import { plainStops, seconds } from "../../shared/units/format";
import { settingText } from "../../shared/units/parts";
import type { MarkKind } from "./marks";

/** What becomes of a verdict. */
export interface Answer {
  answer: NonNullable<Schemas["Taking"]["answer"]>;
  light?: string;
  seconds?: number;
}

/** What the marks lead to, and the ways to answer it. */
export function Answered(props: {
  slate: SlateView;
  verdict: VerdictView | undefined;
  waiting: boolean;
  /** Whether it is read from a picture. */
  pictured: boolean;
  kinds: readonly MarkKind[];
  strip: SheetView;
  taken: string | undefined;
  problem: string | undefined;
  busy: boolean;
  fieldError: (pointer: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const navigate = useNavigate();
  const accept = useAcceptance(props.slate.id, props.strip.id);
  const { verdict, strip, slate } = props;
  if (props.pictured && (props.waiting || !verdict)) {
    return (
      <Verdict
        headline={props.problem === undefined ? "Tap where the tone lies." : "No time follows yet."}
        why="Once in each patch that shows it; a tone that was named is found by itself. A time follows from one patch that is near."
        error={props.problem}
      />
    );
  }
  if (props.waiting || !verdict) {
    const asks = props.kinds[0]?.asks;
    return (
      <Verdict
        headline={asks === undefined ? "How much more light does it need?" : `Look for ${asks}.`}
        why={
          asks === undefined
            ? "Say it in stops; 0 where it is right."
            : "Tap it on the picture, or move its mark with the arrow keys. A tap on the line means between two."
        }
        error={props.problem}
      />
    );
  }
  if (props.taken !== undefined) {
    return (
      <Verdict headline={props.taken} why="This reading is on record. Move a mark to read it again.">
        <Button
          type="primary"
          className="on-dark"
          onClick={() => void navigate(`/slates/${slate.id}/${slate.next.station}`)}
        >
          {slate.next.action}
        </Button>
        {!slate.subject.proof && (
          <Button className="on-dark-quiet" onClick={() => void navigate(`/slates/${slate.id}/shape`)}>
            Shape first
          </Button>
        )}
      </Verdict>
    );
  }
  const same = verdict.light.notation === strip.light.notation;
  const wholeSheet = props.kinds.length === 0 && strip.paperShare >= 1;
  return (
    <Verdict
      headline={verdict.headline}
      why={verdict.why}
      restsOn={[...verdict.restsOn, ...(verdict.check && !verdict.again ? [verdict.check.why] : [])]}
      error={props.problem ?? accept.error?.message}
    >
      {verdict.again ? (
        <Button
          type="primary"
          className="on-dark"
          loading={props.busy}
          onClick={() => props.onAnswer({ answer: "CHECK" })}
        >
          Plan it
        </Button>
      ) : (
        <>
          <Button
            type="primary"
            className="on-dark"
            loading={props.busy}
            onClick={() => props.onAnswer({ answer: "PROPOSED" })}
          >
            Set {settingText(slate.base, verdict, ...(verdict.second ? [verdict.second] : []))}
          </Button>
          {wholeSheet && (
            <Button
              className="on-dark-quiet"
              loading={accept.isPending}
              onClick={() =>
                accept.mutate(undefined, { onSuccess: () => void navigate(`/slates/${slate.id}/keep`) })
              }
            >
              It is right: accept it
            </Button>
          )}
          {!verdict.second && (
            <OwnRecipe
              slate={slate}
              light={verdict.light.notation}
              seconds={verdict.seconds}
              error={props.fieldError}
              onTake={(light, own) => props.onAnswer({ answer: "OWN", light, seconds: own })}
            />
          )}
          {!same && !verdict.second && (
            <Button
              className="on-dark-quiet"
              disabled={props.busy}
              onClick={() => props.onAnswer({ answer: "KEEP_LIGHT" })}
            >
              Keep {settingText(slate.base, { light: strip.light, seconds: verdict.keepSeconds })}
            </Button>
          )}
          {verdict.asPatch && (
            <Button
              className="on-dark-quiet"
              disabled={props.busy}
              onClick={() => props.onAnswer({ answer: "AS_PATCH" })}
            >
              Exactly the patch: {String(verdict.asPatch.count)} × {seconds(verdict.asPatch.setSeconds)} s
            </Button>
          )}
          {verdict.check && (
            <Button
              className="on-dark-quiet"
              disabled={props.busy}
              onClick={() => props.onAnswer({ answer: "CHECK" })}
            >
              Check it on {verdict.check.patches} × {plainStops(verdict.check.stepStops)} stop
            </Button>
          )}
        </>
      )}
    </Verdict>
  );
}

/** A whole sheet that is right is the print. */
function useAcceptance(slateId: string, sheetId: string) {
  return useSlateChange<undefined>(slateId, (_, version) =>
    unwrap(
      api.POST("/api/sheets/{id}/acceptance", {
        params: { path: { id: sheetId } },
        body: { version },
      }),
    ),
  );
}
