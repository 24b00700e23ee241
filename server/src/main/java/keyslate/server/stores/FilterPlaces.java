package keyslate.server.stores;

import keyslate.store.bench.StoresRepository;

/** Where the filters on the shelf sit in the beam. */
public final class FilterPlaces {
    static final String ABOVE_NEGATIVE = "ABOVE_NEGATIVE";
    static final String BELOW_LENS = "BELOW_LENS";
    static final String HEAD = "HEAD";

    private FilterPlaces() {}

    /** Whether filters are put in below the lens, where each moves the focus. */
    public static boolean areBelowLens(StoresRepository stores) {
        return stores.things().stream()
                .anyMatch(thing -> BELOW_LENS.equals(thing.facts().place()));
    }
}
