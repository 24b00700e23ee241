package keyslate.core.colour;

import java.util.Locale;

/** A light of an additive head, named by the layer it prints on, in the order they are given. */
public enum Primary {
    RED,
    GREEN,
    BLUE;

    /** "red". */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
