import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import { Verdict } from "../../shared/ui/Verdict";

type Answers = Required<Schemas["FirstStart"]>;

/** Colour paper is printed through a pack, which a head with dials gives. */
const HEADS: Record<Answers["papers"], Partial<Answers>> = {
  MONOCHROME: {},
  COLOUR: { head: "COLOUR" },
  BOTH: { head: "COLOUR" },
};

/** An empty bench: three questions, each with an answer that can be left as it is. Nothing else is asked before the first strip. */
export function FirstRun(props: { onSkip: () => void }) {
  const client = useQueryClient();
  const [answers, setAnswers] = useState<Answers>({
    papers: "MONOCHROME",
    head: "CONDENSER",
    lamp: "MY_TIMER",
    sheet: "CM_20_25",
  });
  const begin = useMutation<unknown, Problem, Answers>({
    mutationFn: (body) =>
      unwrap(api.POST("/api/stores/first", { body })).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: () => client.invalidateQueries(),
  });
  const set = (part: Partial<Answers>) => setAnswers((now) => ({ ...now, ...part }));
  return (
    <section className="first-run" aria-label="First run">
      <h1>What stands in your darkroom?</h1>
      <p className="lead">
        Three questions. Generic values stand for all the rest, and each says that it is a default. Printed
        with Key Slate before?{" "}
        <Link to="/backups" className="link">
          Put a backup back
        </Link>{" "}
        instead.
      </p>
      <div className="question">
        <h2>What do you print on?</h2>
        <Ways<Answers["papers"]>
          label="What do you print on?"
          value={answers.papers}
          ways={[
            { value: "MONOCHROME", label: "Monochrome" },
            { value: "COLOUR", label: "Colour" },
            { value: "BOTH", label: "Both" },
          ]}
          onChange={(papers) => set({ papers, ...HEADS[papers] })}
        />
      </div>
      <div className="question">
        <h2>Which enlarger?</h2>
        <Ways<Answers["head"]>
          label="Its head"
          value={answers.head}
          ways={[
            { value: "CONDENSER", label: "Condenser" },
            { value: "DIFFUSION", label: "Diffusion" },
            { value: "COLOUR", label: "Colour, with dials" },
          ]}
          onChange={(head) => set({ head })}
        />
        {begin.error?.at("/head") !== undefined && (
          <p className="field-message" role="alert">
            {begin.error.at("/head")}
          </p>
        )}
        <Ways<Answers["lamp"]>
          label="What turns its lamp on and off"
          value={answers.lamp}
          ways={[
            { value: "MY_TIMER", label: "A timer of my own" },
            { value: "BURNS", label: "Nothing: it burns, I use a card" },
          ]}
          onChange={(lamp) => set({ lamp })}
        />
        <p className="field-hint">
          Key Slate never sees this lamp. It says what to set and when to press, and the record says “told,
          not switched”.
        </p>
      </div>
      <div className="question">
        <h2>Which paper?</h2>
        <Ways<Answers["sheet"]>
          label="Size of a sheet"
          value={answers.sheet}
          ways={[
            { value: "CM_13_18", label: "13 × 18 cm" },
            { value: "CM_20_25", label: "20 × 25 cm" },
            { value: "CM_24_30", label: "24 × 30 cm" },
            { value: "CM_30_40", label: "30 × 40 cm" },
          ]}
          onChange={(sheet) => set({ sheet })}
        />
        <p className="field-hint">A box of generic paper is put on the shelf; nobody counts its sheets.</p>
      </div>
      <Verdict
        headline="The first strip is a few minutes away."
        why="Lamp lag, head height and paper are generic values until you measure your own; each is marked “default”."
        error={begin.error?.errors.length === 0 ? begin.error.message : undefined}
      >
        <Button
          type="primary"
          className="on-dark"
          loading={begin.isPending}
          onClick={() => begin.mutate(answers)}
        >
          Set the bench up
        </Button>
        <Button className="on-dark-quiet" onClick={props.onSkip}>
          Skip for now
        </Button>
      </Verdict>
    </section>
  );
}
