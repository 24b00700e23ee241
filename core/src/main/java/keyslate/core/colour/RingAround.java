package keyslate.core.colour;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.FilterSet.Weights;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * Patches about a standing pack: each shows what a correction would look like.
 *
 * <p>COL-07: for ring r and hue h, pack + r·step·h, normalised, time by compensation (COL-04). Red and cyan, green and
 * magenta, blue and yellow are given by magenta and yellow alone, so that a head without cyan can follow.
 * Half-mixtures lie between neighbours. A patch is labelled by what was added and looks like the complement. Density
 * patches: t·2^(±s).
 */
public final class RingAround {
    private static final int MOST_RINGS = 4;

    private RingAround() {}

    /** One patch: what was added, what it looks like, and how it is exposed. */
    public record Patch(String label, String looks, FilterPack pack, ExposureTime time) {
        /** The setting without its labels. */
        public Exposed exposed() {
            return new Exposed(pack, time);
        }
    }

    /**
     * Plans the patches, centre first, ring by ring, then the density patches.
     *
     * @param step points from ring to ring, above 0
     * @param rings 1 to 4
     * @param mixtures whether half-mixtures lie between the hues
     * @param densityStops steps of density, each above 0
     */
    public static List<Patch> plan(
            FilterPack centre,
            ExposureTime time,
            double step,
            int rings,
            boolean mixtures,
            List<Stops> densityStops,
            FilterSet set,
            Weights weights) {
        Check.positive("step", step, "CC");
        Check.count("rings", rings, 1, MOST_RINGS);
        List<Patch> patches = new ArrayList<>();
        patches.add(new Patch("0", "0", centre, time));
        for (int ring = 1; ring <= rings; ring++) {
            String points = points(ring * step);
            for (Hue hue : Hue.values()) {
                Exposed one = expose(centre, time, hue.byMagentaAndYellow(ring * step), set, weights);
                patches.add(new Patch(hue.name() + points, hue.complement().name(), one.pack(), one.time()));
                if (mixtures) {
                    Hue next = Hue.values()[(hue.ordinal() + 1) % 6];
                    FilterShift half =
                            hue.byMagentaAndYellow(ring * step / 2).plus(next.byMagentaAndYellow(ring * step / 2));
                    Exposed between = expose(centre, time, half, set, weights);
                    String looks = hue.complement().name() + next.complement().name();
                    patches.add(new Patch(hue.name() + next.name() + points, looks, between.pack(), between.time()));
                }
            }
        }
        for (Stops stops : densityStops) {
            Check.positive("density step", stops.inStops(), "stop");
            String label = points(stops.inStops());
            patches.add(new Patch("D-" + label, "light", centre, time.plus(stops.negated())));
            patches.add(new Patch("D+" + label, "dark", centre, time.plus(stops)));
        }
        return patches;
    }

    /** COL-08: a grid of magenta (rows) and yellow (columns), by the same rules. */
    public static List<List<Exposed>> grid(
            FilterPack centre,
            ExposureTime time,
            List<Double> magenta,
            List<Double> yellow,
            FilterSet set,
            Weights weights) {
        return magenta.stream()
                .map(m -> yellow.stream()
                        .map(y -> expose(centre, time, FilterShift.of(0, m, y), set, weights))
                        .toList())
                .toList();
    }

    /** A pack and its time. */
    public record Exposed(FilterPack pack, ExposureTime time) {}

    private static Exposed expose(
            FilterPack centre, ExposureTime time, FilterShift shift, FilterSet set, Weights weights) {
        FilterPack pack = NeutralRemoval.of(centre.toShift().plus(shift)).pack();
        return new Exposed(pack, time.times(set.timeFactor(centre, pack, weights, 0, 0)));
    }

    private static String points(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }
}
