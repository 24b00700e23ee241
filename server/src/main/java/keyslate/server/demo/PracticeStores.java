package keyslate.server.demo;

import java.time.Clock;
import java.time.Duration;
import keyslate.core.medium.Colour;
import keyslate.core.medium.Monochrome;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.store.bench.Bath;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;

/** What stands in the practice darkroom: made-up things, switched lamps, simulated paper. */
final class PracticeStores {
    private static final double GENERIC_STRENGTH = 3.1;

    private PracticeStores() {}

    /** Fills empty stores; inside a transaction. */
    static void fill(StoresRepository stores, Clock clock) {
        String mixed = Clocks.of(clock.instant().minus(Duration.ofMinutes(130)));
        stores.add(enlarger("Yard enlarger", "Diffusion head", false, GENERIC_STRENGTH, 0.1, 1050));
        stores.add(enlarger("Little condenser", "Condenser", false, GENERIC_STRENGTH + 0.25, 0.2, 620));
        stores.add(enlarger("Kiln colour", "Dichroic head", true, GENERIC_STRENGTH + 0.1, 0.1, 900));
        stores.add(new Lens(Ids.fresh(), "50 mm lens", 50, 2.8, 16, 2, 43.5));
        stores.add(new Lens(Ids.fresh(), "80 mm lens", 80, 4, 22, 2, 80));
        stores.add(new Lens(Ids.fresh(), "150 mm lens", 150, 5.6, 32, 2, 160));
        stores.add(mono("Pearl RC 20 × 25", "RC", 254, 203, "box 3", 100, 41, 3));
        stores.add(mono("Satin RC 24 × 30", "RC", 305, 240, "box 1", 50, 27, 4));
        stores.add(mono("White FB 30 × 40", "FB", 406, 305, "box 2", 10, 3, 3));
        stores.add(new Paper(
                Ids.fresh(),
                "Colour gloss 20 × 25",
                Colour.ID,
                "RC",
                254,
                203,
                "batch B",
                100,
                62,
                5,
                true,
                "0/47/52",
                "gloss",
                "",
                null,
                null));
        stores.add(new Bath(Ids.fresh(), 1, Monochrome.ID, "Developer 1 + 9", mixed, 1.5, 0.31));
        stores.add(new Bath(Ids.fresh(), 2, Monochrome.ID, "Stop 1 + 19", mixed, 3.75, 0.21));
        stores.add(new Bath(Ids.fresh(), 3, Monochrome.ID, "Fixer 1 + 4", mixed, 2.0, 1.26, 45.0));
        stores.add(new Bath(Ids.fresh(), 1, Colour.ID, "Colour developer, drum", mixed, 1.2, 0.22));
        stores.add(new Bath(Ids.fresh(), 2, Colour.ID, "Bleach-fix, drum", mixed, 1.6, 0.22));
    }

    private static Enlarger enlarger(
            String name, String head, boolean dials, double strength, double lagSeconds, double columnMm) {
        return new Enlarger(
                Ids.fresh(), name, head, "SWITCHED", dials, strength, lagSeconds, "default", columnMm, "entered");
    }

    private static Paper mono(
            String name,
            String base,
            double widthMm,
            double heightMm,
            String batch,
            int box,
            double left,
            int reserve) {
        return new Paper(
                Ids.fresh(),
                name,
                Monochrome.ID,
                base,
                widthMm,
                heightMm,
                batch,
                box,
                left,
                reserve,
                true,
                null,
                "",
                "",
                null,
                null);
    }
}
