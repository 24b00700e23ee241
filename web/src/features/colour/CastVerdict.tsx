import { Button } from "antd";
import { useNavigate } from "react-router";
import type { SheetView, SlateView, VerdictView } from "../../shared/api/client";
import { NextStepButton } from "../../shared/ui/NextStep";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { Verdict } from "../../shared/ui/Verdict";
import { settingText } from "../../shared/units/parts";
import type { Way } from "./casts";
import type { Answer } from "./weighed";

/** What is to be done before anything was seen. */
const UNSEEN: Record<Way, { headline: string; why: string }> = {
  VIEWING_FILTER: {
    headline: "Find the filter that makes grey grey.",
    why: "Hold one filter after another before your eye. The way you look through it is the way the pack will move.",
  },
  BY_NAME: {
    headline: "Say what cast the grey has.",
    why: "The strongest first; between two where neither fits. The pack takes out what the print has too much of.",
  },
  PIECES: {
    headline: "Touch the piece whose grey is grey.",
    why: "One of them, or two or three between which it lies. At the rim it may lie farther out.",
  },
  METER: {
    headline: "Say which pack the meter asks for.",
    why: "Through the diffuser, without a filter in the beam. Its word counts with all looks at the print.",
  },
  PICTURE: {
    headline: "Say which spot is to be neutral.",
    why: "Grey in the scene, neither nearly white nor nearly black. Its colour is measured against the paper's white.",
  },
};

/** What the looks say, to be taken or overruled; before the first what is to be done. */
export function CastVerdict(props: {
  slate: SlateView;
  sheet: SheetView;
  said: boolean;
  way: Way;
  judged: boolean;
  verdict: VerdictView | undefined;
  problem: string | undefined;
  busy: boolean;
  fieldError: (pointer: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const navigate = useNavigate();
  const { slate, verdict } = props;
  if (props.said && !verdict && props.problem === undefined && props.way === "PICTURE") {
    // The first spot waits for the picture to be decoded.
    return <Verdict headline="Measuring that spot …" why={UNSEEN.PICTURE.why} />;
  }
  if (!props.said || !verdict) {
    return props.judged && props.problem === undefined ? (
      <Verdict headline={slate.next.headline} why={`${slate.next.why} Or judge the colour again above.`}>
        <NextStepButton slateId={slate.id} next={slate.next} />
        <Button className="on-dark-quiet" onClick={() => void navigate(`/slates/${slate.id}/shape`)}>
          Shape first
        </Button>
      </Verdict>
    ) : (
      <Verdict {...UNSEEN[props.way]} error={props.problem} />
    );
  }
  return (
    <Verdict headline={verdict.headline} why={verdict.why} restsOn={verdict.restsOn} error={props.problem}>
      <Button
        type="primary"
        className="on-dark"
        loading={props.busy}
        onClick={() => props.onAnswer({ answer: "PROPOSED" })}
      >
        Set {settingText(slate.base, verdict)}
      </Button>
      <OwnRecipe
        slate={slate}
        light={verdict.light.notation}
        seconds={verdict.seconds}
        error={props.fieldError}
        onTake={(light, own) => props.onAnswer({ answer: "OWN", light, seconds: own })}
      />
    </Verdict>
  );
}
