package keyslate.server.stores;

import keyslate.core.rescale.Links;
import keyslate.store.bench.StoresRepository;

/** Constants that a printer may say without readings: by a data sheet, or by a test of their own. */
enum Entered {
    LAG("lamp lag", 0, 2, "s", Links.LAG.limit()),
    DRY_DOWN("dry-down", 0, 20, "%", 2),
    SAFE_MINUTES("safe time", 0.5, 240, "min", 0),
    FOG_MINUTES("minutes without fog", 0.5, 240, "min", 0),
    STRAY_MINUTES("minutes without stray light", 0.5, 240, "min", 0),
    COIN_MINUTES("minutes of the coin test", 0.5, 240, "min", 0),
    RECIPROCITY("exponent p", 0.7, 1, "", 0.03),
    ALIGNMENT("difference of two sides", 0, 50, "mm", 0.5),
    DIAL_END("end of the dials", 30, 400, "points", 0);

    private final String words;
    private final double least;
    private final double most;
    private final String unit;
    private final double usualLimit;

    Entered(String words, double least, double most, String unit, double usualLimit) {
        this.words = words;
        this.least = least;
        this.most = most;
        this.unit = unit;
        this.usualLimit = usualLimit;
    }

    /** Whether a thing of that id has this constant. */
    boolean isOf(StoresRepository stores, String id) {
        return switch (this) {
            case LAG, STRAY_MINUTES, ALIGNMENT, DIAL_END -> stores.enlarger(id).isPresent();
            case DRY_DOWN, RECIPROCITY -> stores.paper(id).isPresent();
            case SAFE_MINUTES -> isA(ThingKind.SAFELIGHT, stores, id);
            case FOG_MINUTES -> isA(ThingKind.ROOM, stores, id);
            case COIN_MINUTES -> isA(ThingKind.SCREEN, stores, id);
        };
    }

    private static boolean isA(ThingKind kind, StoresRepository stores, String id) {
        return stores.thing(id).filter(t -> ThingKind.valueOf(t.kind()) == kind).isPresent();
    }

    String words() {
        return words;
    }

    double least() {
        return least;
    }

    double most() {
        return most;
    }

    String unit() {
        return unit;
    }

    /** 95 % limit where its owner says none. */
    double usualLimit() {
        return usualLimit;
    }
}
