import { useStores } from "../api/slate";
import { length, millimetres } from "../units/length";
import { QuantityField } from "./QuantityField";

/** A length, shown in the unit the user likes; any other may be typed behind the number. */
export function LengthField(props: {
  label: string;
  mm: number;
  hint?: string;
  /** A border, a blade: millimetres to who measures in centimetres. */
  small?: boolean;
  error?: string | undefined;
  onCommit: (mm: number) => unknown;
  /** By so many millimetres, from what stands by then. */
  onStep?: (mm: number) => void;
}) {
  const stores = useStores().data;
  // Until it is known which unit the user likes, none is shown: a number typed for one must not be read in another.
  const liked = stores?.units.length ?? "mm";
  const unit = props.small && liked === "cm" ? "mm" : liked;
  const { onStep } = props;
  return (
    <QuantityField
      label={props.label}
      shown={stores ? length(props.mm, unit) : ""}
      disabled={!stores}
      unit={unit}
      units={["mm"]}
      {...(props.hint !== undefined && { hint: props.hint })}
      error={props.error}
      onCommit={(c) => props.onCommit(millimetres(c, unit))}
      {...(onStep && { onStep: (direction, big) => onStep(direction * (big ? 10 : 1)) })}
    />
  );
}
