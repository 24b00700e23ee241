package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.server.Show;
import keyslate.server.rig.Rig;

/** The light that prints of a film were kept with: the middle of their packs; where contrast is chosen for each negative, the light that stands. */
record UsualLight(Light light, String words) {

    static UsualLight of(Rig rig, List<Light> kept) {
        Optional<Light> usual = rig.medium().choosesFilter()
                ? Optional.empty()
                : rig.medium().core().usual(kept);
        return usual.map(light ->
                        new UsualLight(light, light.notation() + " is the middle of their packs" + spread(kept)))
                .orElseGet(() -> new UsualLight(rig.light(), ""));
    }

    /** ", M 49 to 58, Y 41 to 50.": the dials that were not the same for all. */
    private static String spread(List<Light> kept) {
        List<String> dials = new ArrayList<>();
        for (int i = 0; i < Show.DIALS.size(); i++) {
            int dial = i;
            DoubleSummaryStatistics points =
                    kept.stream().mapToDouble(l -> l.points().get(dial)).summaryStatistics();
            if (points.getMax() > points.getMin()) {
                dials.add(
                        Show.DIALS.get(i) + " " + Show.number(points.getMin()) + " to " + Show.number(points.getMax()));
            }
        }
        return (dials.isEmpty() ? "" : ", " + String.join(", ", dials)) + ".";
    }
}
