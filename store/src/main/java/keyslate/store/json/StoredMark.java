package keyslate.store.json;

import java.util.Set;

/**
 * A mark on the film, as it is stored and sent.
 *
 * @param kind DUST, HAIR or SCRATCH
 * @param x place on the frame, 0 to 1 from its left edge; {@code y} from its upper one
 */
public record StoredMark(String kind, double x, double y) {
    private static final Set<String> KINDS = Set.of("DUST", "HAIR", "SCRATCH");

    /** Whether it is of a known kind. */
    public boolean hasKnownKind() {
        return kind != null && KINDS.contains(kind);
    }

    /** Whether it lies on the frame. */
    public boolean liesOnFrame() {
        return x >= 0 && x <= 1 && y >= 0 && y <= 1;
    }
}
