import { Button } from "antd";
import type { Schemas, SlateView } from "../api/client";
import type { RecipeEdit, SlateChange } from "../api/slate";
import { useKeepCalibration } from "../api/stores";
import { seconds } from "../units/format";
import { Ways } from "./Choice";
import { ThreeTimes } from "./ThreeTimes";

type Follows = Schemas["PackView"]["follows"];

const FOLLOWS: readonly { value: Follows; label: string }[] = [
  { value: "ON", label: "All" },
  { value: "SMALL", label: "By half" },
  { value: "OFF", label: "Not" },
];

/** What the time does when the pack moves on this head, and the grey that is in it; nothing where the light is no pack. */
export function PackOnHead(props: { slate: SlateView; edit: SlateChange<RecipeEdit> }) {
  const { slate, edit } = props;
  const { pack } = slate.base;
  if (!pack) return null;
  return (
    <>
      {pack.note !== undefined && (
        <p className="field-hint" role="note">
          {pack.note}
        </p>
      )}
      {pack.thirds && <ThreeTimes slate={slate} edit={edit} thirds={pack.thirds} />}
      <PackTime enlargerId={slate.setup.enlargerId} pack={pack} />
      {pack.grey && <GreyInPack grey={pack.grey} onOut={() => edit.mutate({ base: { greyOut: true } })} />}
    </>
  );
}

/** How far the time follows the pack, always in sight where one is chosen. */
function PackTime({ enlargerId, pack }: { enlargerId: string; pack: Schemas["PackView"] }) {
  const keep = useKeepCalibration();
  return (
    <>
      <div className="beside-line" title={factorWords(pack)}>
        <span>Time follows</span>
        <Ways<Follows>
          label="How far the time follows the pack"
          value={pack.follows}
          ways={FOLLOWS}
          onChange={(follows) =>
            keep.mutate({ path: `/api/stores/enlargers/${enlargerId}/pack-times`, body: { follows } })
          }
        />
      </div>
      {keep.error && (
        <p className="field-message" role="alert">
          {keep.error.message}
        </p>
      )}
    </>
  );
}

/** "C 0.30, M 0.60, Y 0.10 of each point, default". */
function factorWords(pack: Schemas["PackView"]): string {
  const { cyan, magenta, yellow } = pack;
  return `C ${cyan.toFixed(2)}, M ${magenta.toFixed(2)}, Y ${yellow.toFixed(2)} of each point, ${pack.source}`;
}

/** Grey in the pack costs light and does nothing; taking it out keeps the print as it is. */
function GreyInPack({ grey, onOut }: { grey: Schemas["GreyView"]; onOut: () => void }) {
  return (
    <div className="note grey-out">
      <p>
        In the pack: {grey.words}. {grey.light.notation}, {seconds(grey.seconds)} s prints the same.
        {grey.unequal !== undefined && ` ${grey.unequal}`}
      </p>
      <Button size="small" onClick={onOut}>
        Take the grey out
      </Button>
    </div>
  );
}
