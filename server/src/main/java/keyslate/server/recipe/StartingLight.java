package keyslate.server.recipe;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.film.NegativeReadings;
import keyslate.core.light.Light;
import keyslate.server.rig.Rig;

/** The light a paper begins with, and where it comes from. */
record StartingLight(Light light, String because) {
    /** Callier's factor of a diffuse head. */
    private static final double DIFFUSE = 1;

    /**
     * What the negative's readings ask for where the paper has grades; else the middle of what was kept on this box, what its owner entered for it, or a plain
     * default that says so.
     */
    static StartingLight of(Rig rig, Optional<NegativeReadings> readings, List<Light> kept) {
        Optional<StartingLight> asRead =
                readings.filter(r -> rig.medium().choosesFilter()).map(StartingLight::asRead);
        if (asRead.isPresent()) {
            return asRead.get();
        }
        Optional<Light> usual = rig.medium().core().usual(kept);
        if (usual.isPresent()) {
            return new StartingLight(
                    usual.get(),
                    usual.get().notation() + " is the middle of "
                            + (kept.size() == 1 ? "the print" : "the " + kept.size() + " prints") + " you kept on "
                            + rig.paper().type() + ".");
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
