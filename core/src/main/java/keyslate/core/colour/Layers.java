package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * Three numbers of the red-, green- and blue-sensitive layers, or of the cyan, magenta and yellow dye they make; what they mean is said
 * where they are made.
 */
public record Layers(double red, double green, double blue) {
    public Layers {
        red = Check.finite("red layer", red);
        green = Check.finite("green layer", green);
        blue = Check.finite("blue layer", blue);
    }

    /** From exactly three numbers. */
    public static Layers of(double... three) {
        if (three.length != 3) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "layers", "three layers are needed, had " + three.length);
        }
        return new Layers(three[0], three[1], three[2]);
    }

    /** The layer of an index, 0 red to 2 blue. */
    public double at(int layer) {
        return switch (layer) {
            case 0 -> red;
            case 1 -> green;
            default -> blue;
        };
    }

    double[] toArray() {
        return new double[] {red, green, blue};
    }
}
