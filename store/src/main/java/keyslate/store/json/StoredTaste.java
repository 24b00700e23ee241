package keyslate.store.json;

import keyslate.core.colour.Taste;

/**
 * How far a print is meant to be off neutral, as it is stored and sent.
 *
 * @param magenta points that the pack has beyond the neutral one, -60 to 60: more turns the print greener
 * @param yellow alike: more turns it bluer
 */
public record StoredTaste(double magenta, double yellow) {
    public static StoredTaste of(Taste taste) {
        return new StoredTaste(taste.magenta(), taste.yellow());
    }

    public Taste toCore() {
        return new Taste(magenta, yellow);
    }
}
