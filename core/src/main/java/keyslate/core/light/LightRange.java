package keyslate.core.light;

import java.util.List;
import keyslate.core.quantity.QuantityException;

/** Lights between two of one kind, both among them: grades on their scale, packs by each of their three dials. */
public record LightRange(Light from, Light to) {
    private static final double SLACK = 1e-9;

    /** Refused when the ends are of two kinds; either may be the lower one. */
    public LightRange {
        if (!from.getClass().equals(to.getClass())) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE,
                    "light",
                    "A range is from grade to grade, or from pack to pack: " + from.notation() + " and " + to.notation()
                            + " are one of each.");
        }
    }

    public boolean contains(Light light) {
        if (!light.getClass().equals(from.getClass())) {
            return false;
        }
        List<Double> a = places(from);
        List<Double> b = places(to);
        List<Double> x = places(light);
        for (int i = 0; i < x.size(); i++) {
            if (x.get(i) < Math.min(a.get(i), b.get(i)) - SLACK || x.get(i) > Math.max(a.get(i), b.get(i)) + SLACK) {
                return false;
            }
        }
        return true;
    }

    private static List<Double> places(Light light) {
        return light.points().isEmpty() ? List.of(light.toFilter().grade().onScale()) : light.points();
    }
}
