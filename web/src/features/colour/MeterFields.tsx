import { useMutation, useQuery } from "@tanstack/react-query";
import {
  type Problem,
  type Schemas,
  type SheetView,
  type SlateView,
  api,
  toProblem,
  unwrap,
} from "../../shared/api/client";
import { TextField } from "../../shared/ui/TextField";
import { number } from "../../shared/units/format";
import type { Metered } from "./casts";

/** Kinds of scene that integrate to something else than grey. */
const SCENES = ["average", "night", "snow"] as const;

/** What a colour meter through a diffuser asks for; each kind of scene has an offset that own prints teach. */
export function MeterFields(props: {
  slate: SlateView;
  sheet: SheetView;
  meter: Metered | undefined;
  error: (pointer: string) => string | undefined;
  onChange: (meter: Metered) => void;
}) {
  const meter = props.meter ?? { pack: "", scene: SCENES[0] };
  const known = useScenes(props.slate);
  const scenes = [...new Set([...SCENES, ...known.map((s) => s.scene)])];
  const offset = known.find((s) => s.scene === meter.scene.trim().toLowerCase());
  const at = "/cast/looks/0/meter";
  const reading = useMutation<string, Problem>({
    mutationFn: () =>
      unwrap(api.GET("/api/sheets/{id}/practice-meter", { params: { path: { id: props.sheet.id } } })).then(
        (shown) => shown.pack,
        (error: unknown) => {
          throw toProblem(error);
        },
      ),
    onSuccess: (pack) => props.onChange({ ...meter, pack }),
  });
  return (
    <>
      <h3>Which pack does the meter ask for?</h3>
      <TextField
        label="Cyan/magenta/yellow, through the diffuser"
        value={meter.pack}
        longest={24}
        hint="0/58/49, for instance"
        error={meter.pack === "" ? undefined : props.error(`${at}/pack`)}
        onChange={(pack) => props.onChange({ ...meter, pack })}
      />
      {props.sheet.practice && (
        <p className="field-hint">
          <button
            type="button"
            className="link"
            disabled={reading.isPending}
            onClick={() => reading.mutate()}
          >
            Read the practice meter
          </button>
        </p>
      )}
      {reading.error && (
        <p className="field-message" role="alert">
          {reading.error.message}
        </p>
      )}
      <div className="wish-line" role="group" aria-label="What kind of scene it is">
        {scenes.map((scene) => (
          <button
            key={scene}
            type="button"
            aria-pressed={scene === meter.scene}
            onClick={() => props.onChange({ ...meter, scene })}
          >
            {scene}
          </button>
        ))}
      </div>
      <TextField
        label="Or another kind of scene"
        value={scenes.includes(meter.scene) ? "" : meter.scene}
        longest={40}
        error={props.error(`${at}/scene`)}
        onChange={(scene) => props.onChange({ ...meter, scene })}
      />
      <p className="field-hint">
        {offset ? inWords(offset) : "No print of such a scene tells yet what the meter is off."}
      </p>
    </>
  );
}

function useScenes(slate: SlateView): readonly Schemas["SceneView"][] {
  const scenes = useQuery({
    queryKey: ["metered-scenes", slate.id],
    queryFn: () => unwrap(api.GET("/api/slates/{id}/metered-scenes", { params: { path: { id: slate.id } } })),
  });
  return scenes.data ?? [];
}

/** "+3 M, −2 Y, ± 5, by 4 prints". */
function inWords(offset: Schemas["SceneView"]): string {
  const signed = (points: number) => `${points < 0 ? "−" : "+"}${number(Math.abs(points))}`;
  return `Own prints of such scenes: ${signed(offset.magentaPoints)} M, ${signed(offset.yellowPoints)} Y, ± ${number(offset.limitPoints)}, by ${String(offset.prints)} ${offset.prints === 1 ? "print" : "prints"}.`;
}
