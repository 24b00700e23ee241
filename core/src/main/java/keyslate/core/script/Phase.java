package keyslate.core.script;

import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Check;

/**
 * A piece of an exposure in which the light falls on the same places.
 *
 * @param seconds by the timer, above 0; the lag of the lamp lies in the first phase
 * @param held keys of the areas held back all through it
 * @param burned key of the one area the light is let through to, when this is a burn
 * @param uncovered the part of the piece that is not under the card; none = all of it
 * @param disc what lies on the paper all through it; none as a rule
 */
public record Phase(
        double seconds,
        List<String> held,
        Optional<String> burned,
        Optional<Part> uncovered,
        Optional<WedgeDisc> disc) {
    public Phase {
        Check.positive("phase", seconds, "s");
        held = List.copyOf(held);
    }

    /** The whole piece, but for what is held back. */
    public static Phase holding(double seconds, List<String> held) {
        return new Phase(seconds, held, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** One area alone. */
    public static Phase burning(double seconds, String area) {
        return new Phase(seconds, List.of(), Optional.of(area), Optional.empty(), Optional.empty());
    }

    /** What the card leaves uncovered. */
    public static Phase uncovering(double seconds, Part part) {
        return new Phase(seconds, List.of(), Optional.empty(), Optional.of(part), Optional.empty());
    }

    /** The whole piece, through a wedge that lies on it. */
    public static Phase through(double seconds, WedgeDisc disc) {
        return new Phase(seconds, List.of(), Optional.empty(), Optional.empty(), Optional.of(disc));
    }

    /** Everything under the card: the lamp is lit, the paper gets nothing. */
    public static Phase covered(double seconds) {
        return uncovering(seconds, new Part(0, 0, 0, 0));
    }

    public boolean reachesNothing() {
        return uncovered.map(Part::isEmpty).orElse(false);
    }

    Phase lasting(double other) {
        return new Phase(other, held, burned, uncovered, disc);
    }
}
