package keyslate.store.json;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;
import keyslate.core.script.WedgeDisc;

/**
 * A phase of an exposure as it is stored.
 *
 * @param held keys of areas; {@code burned} one key or null
 * @param uncovered left, top, width, height in fractions of the piece; null = all of it
 * @param disc a wedge that lies on the paper: the exposure its labels are for, then the labels clockwise from the top, seconds; null = none
 */
public record StoredPhase(double seconds, List<String> held, String burned, List<Double> uncovered, List<Double> disc) {
    public static StoredPhase of(Phase phase) {
        return new StoredPhase(
                phase.seconds(),
                phase.held(),
                phase.burned().orElse(null),
                phase.uncovered()
                        .map(p -> List.of(p.left(), p.top(), p.width(), p.height()))
                        .orElse(null),
                phase.disc().map(StoredPhase::figures).orElse(null));
    }

    private static List<Double> figures(WedgeDisc disc) {
        List<Double> figures = new ArrayList<>(List.of(disc.referenceSeconds()));
        figures.addAll(disc.labels());
        return figures;
    }

    /** @throws IllegalArgumentException when a number is none of its own */
    public Phase toCore() {
        Optional<Part> part = Optional.ofNullable(uncovered).map(u -> new Part(u.get(0), u.get(1), u.get(2), u.get(3)));
        Optional<WedgeDisc> wedge = Optional.ofNullable(disc).map(d -> new WedgeDisc(d.get(0), d.subList(1, d.size())));
        return new Phase(seconds, held == null ? List.of() : held, Optional.ofNullable(burned), part, wedge);
    }
}
