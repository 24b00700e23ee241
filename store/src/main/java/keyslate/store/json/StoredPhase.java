package keyslate.store.json;

import java.util.List;
import java.util.Optional;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;

/**
 * A phase of an exposure as it is stored.
 *
 * @param held keys of areas; {@code burned} one key or null
 * @param uncovered left, top, width, height in fractions of the piece; null = all of it
 */
public record StoredPhase(double seconds, List<String> held, String burned, List<Double> uncovered) {
    public static StoredPhase of(Phase phase) {
        return new StoredPhase(
                phase.seconds(),
                phase.held(),
                phase.burned().orElse(null),
                phase.uncovered()
                        .map(p -> List.of(p.left(), p.top(), p.width(), p.height()))
                        .orElse(null));
    }

    public Phase toCore() {
        Optional<Part> part = Optional.ofNullable(uncovered).map(u -> new Part(u.get(0), u.get(1), u.get(2), u.get(3)));
        return new Phase(seconds, held == null ? List.of() : held, Optional.ofNullable(burned), part);
    }
}
