package keyslate.core.test;

import keyslate.core.quantity.Check;

/**
 * A place on the picture, in fractions of it.
 *
 * @param x 0 at the left edge to 1; {@code y} alike from the upper one
 */
public record Spot(double x, double y) {
    public Spot {
        Check.within("place across", x, 0, 1, "");
        Check.within("place down", y, 0, 1, "");
    }
}
