package keyslate.store.json;

import keyslate.core.quantity.QuantityException;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneWish;
import org.jspecify.annotations.Nullable;

/**
 * A named tone as it is stored and sent.
 *
 * @param name 1 to 40 characters
 * @param x place on the frame, 0 to 1 from its left edge; {@code y} from its upper one
 * @param wish WHITE_HOLDS, MIDDLE, TRUE_BLACK or OWN
 * @param density over the paper's white that is wanted, 0 to 2.5; asked for with OWN alone
 */
public record StoredTone(
        String name,
        double x,
        double y,
        String wish,
        @Nullable Double density) {
    public static StoredTone of(NamedTone tone) {
        return new StoredTone(tone.name(), tone.x(), tone.y(), tone.wish().name(), tone.wantedNet());
    }

    /**
     * The tone as the core computes with it.
     *
     * @throws QuantityException when it is none
     */
    public NamedTone toCore() {
        ToneWish known;
        try {
            known = ToneWish.valueOf(wish);
        } catch (IllegalArgumentException | NullPointerException e) {
            throw wrong(
                    "a tone is to hold as a white, to be the middle, to be black, or to have a density of your own");
        }
        if (known == ToneWish.OWN && density == null) {
            throw wrong("say which density it is to have");
        }
        return NamedTone.of(name, x, y, known, density == null ? 0 : density);
    }

    private static QuantityException wrong(String message) {
        return new QuantityException(QuantityException.Kind.WRONG_SHAPE, "tone", message);
    }
}
