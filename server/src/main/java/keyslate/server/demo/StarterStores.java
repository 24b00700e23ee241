package keyslate.server.demo;

import java.time.Clock;
import java.time.Duration;
import keyslate.server.Ids;
import keyslate.store.Database;
import keyslate.store.bench.Bath;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;

/** What stands in an empty data folder, so that a first slate can be set up: generic things with plain names. */
final class StarterStores {
    private static final double GENERIC_STRENGTH = 3.1;

    private StarterStores() {}

    static void fill(Database database, StoresRepository stores, Clock clock, boolean demo) {
        String mixed = clock.instant().minus(Duration.ofMinutes(130)).toString();
        database.inTransaction(() -> {
            stores.add(new Enlarger(
                    Ids.fresh(),
                    demo ? "Yard enlarger" : "Enlarger 1",
                    "Diffusion head",
                    GENERIC_STRENGTH,
                    0.1,
                    "default",
                    1050));
            if (demo) {
                stores.add(new Enlarger(
                        Ids.fresh(), "Little condenser", "Condenser", GENERIC_STRENGTH + 0.25, 0.2, "default", 620));
            }
            stores.add(new Lens(Ids.fresh(), "50 mm lens", 50, 2.8, 16, 2, 43.5));
            stores.add(new Lens(Ids.fresh(), "80 mm lens", 80, 4, 22, 2, 80));
            stores.add(new Lens(Ids.fresh(), "150 mm lens", 150, 5.6, 32, 2, 160));
            stores.add(new Paper(Ids.fresh(), "Pearl RC 20 × 25", "RC", 254, 203, "box 3", 100, demo ? 41 : 100, 3));
            if (demo) {
                stores.add(new Paper(Ids.fresh(), "Satin RC 24 × 30", "RC", 305, 240, "box 1", 50, 27, 4));
                stores.add(new Paper(Ids.fresh(), "White FB 30 × 40", "FB", 406, 305, "box 2", 10, 3, 3));
            }
            stores.add(new Bath(Ids.fresh(), 1, "Developer 1 + 9", mixed, 1.5, demo ? 0.31 : 0));
            stores.add(new Bath(Ids.fresh(), 2, "Stop 1 + 19", mixed, 3.75, demo ? 0.21 : 0));
            stores.add(new Bath(Ids.fresh(), 3, "Fixer 1 + 4", mixed, 2.0, demo ? 1.26 : 0));
        });
    }
}
