package keyslate.core.colour;

import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/** The six hues of casts and filters. R = M + Y, G = C + Y, B = C + M. */
public enum Hue {
    R(0, 1, 1),
    Y(0, 0, 1),
    G(1, 0, 1),
    C(1, 0, 0),
    B(1, 1, 0),
    M(0, 1, 0);

    private final FilterShift unit;

    Hue(double cyan, double magenta, double yellow) {
        this.unit = FilterShift.of(cyan, magenta, yellow);
    }

    /** That many points of filtration of this hue. */
    public FilterShift points(double points) {
        return unit.times(points);
    }

    /** The hue that cancels this one: red and cyan, green and magenta, blue and yellow. */
    public Hue complement() {
        return values()[(ordinal() + 3) % 6];
    }

    /**
     * The same hue by magenta and yellow alone, so that a head without cyan can follow: cyan is less of both, green less
     * magenta, blue less yellow.
     */
    public FilterShift byMagentaAndYellow(double points) {
        return FilterShift.of(0, unit.inMagenta() - unit.inCyan(), unit.inYellow() - unit.inCyan())
                .times(points);
    }

    /** The hue of a letter. */
    public static Hue of(String letter) {
        for (Hue hue : values()) {
            if (hue.name().equals(letter)) {
                return hue;
            }
        }
        throw new QuantityException(
                QuantityException.Kind.WRONG_SHAPE, "hue", "hues are R, Y, G, C, B and M, was “" + letter + "”");
    }
}
