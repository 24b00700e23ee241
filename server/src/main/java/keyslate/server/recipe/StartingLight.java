package keyslate.server.recipe;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.film.NegativeReadings;
import keyslate.core.light.Light;
import keyslate.server.Show;
import keyslate.server.rig.OwnPrints;
import keyslate.server.rig.Rig;
import keyslate.store.slate.SheetRepository.KeptLight;

/** The light a paper begins with, and where it comes from. */
record StartingLight(Light light, String because) {
    /** Callier's factor of a diffuse head. */
    private static final double DIFFUSE = 1;

    private static final int MAGENTA = 1;
    private static final int YELLOW = 2;

    /**
     * What the negative's readings ask for where the paper has grades; else the middle of what was kept on this box, of prints on the same film with the same head where there are any, what its owner entered for it, or a plain
     * default that says so.
     */
    static StartingLight of(Rig rig, Optional<NegativeReadings> readings, OwnPrints own) {
        Optional<StartingLight> asRead =
                readings.filter(r -> rig.medium().choosesFilter()).map(StartingLight::asRead);
        if (asRead.isPresent()) {
            return asRead.get();
        }
        List<Light> kept = own.prints().stream().map(KeptLight::neutral).toList();
        Optional<Light> usual = rig.medium().core().usual(kept);
        if (usual.isPresent()) {
            return new StartingLight(
                    usual.get(),
                    usual.get().notation() + " is the middle of "
                            + (kept.size() == 1 ? "the print" : "the " + kept.size() + " prints") + " you kept on "
                            + rig.paper().type() + own.how() + spread(kept) + ".");
        }
        String entered = rig.paper().startLight();
        if (entered != null) {
            Light light = rig.medium().core().read(entered);
            return new StartingLight(
                    light, light.notation() + " as entered for " + rig.paper().type() + ".");
        }
        Light plain = rig.medium().core().plainLight();
        return new StartingLight(plain, plain.notation() + " is a plain default and not a measurement.");
    }

    /** How far they lie apart: ": M 49 to 58, Y 41 to 50". */
    private static String spread(List<Light> kept) {
        return kept.size() < 2 ? "" : ": M " + range(kept, MAGENTA) + ", Y " + range(kept, YELLOW);
    }

    private static String range(List<Light> kept, int filter) {
        DoubleSummaryStatistics points =
                kept.stream().mapToDouble(l -> l.points().get(filter)).summaryStatistics();
        return Show.number(points.getMin()) + " to " + Show.number(points.getMax());
    }

    private static StartingLight asRead(NegativeReadings readings) {
        Light light = Light.filter(GradeFilter.nearest(readings.nearestGrade(NegativeReadings.USUAL_FLARE, DIFFUSE)));
        return new StartingLight(
                light,
                String.format(
                        Locale.ROOT,
                        "%s by its readings: shadow %.2f and highlight %.2f need R %.0f in diffuse light.",
                        light.notation(),
                        readings.shadow().inLog10(),
                        readings.highlight().inLog10(),
                        readings.neededRange(NegativeReadings.USUAL_FLARE, DIFFUSE)));
    }
}
