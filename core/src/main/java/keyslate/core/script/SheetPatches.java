package keyslate.core.script;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import keyslate.core.exposure.LampLag;

/**
 * The patches of a test, found from where the light of its steps fell and not from their order.
 *
 * @param patches the one that was to get least first
 */
public record SheetPatches(List<Patch> patches) {
    private static final double SAME_PLACE = 1e-9;

    /**
     * A patch.
     *
     * @param number from 1, the one that was to get least
     * @param place on its piece
     * @param plannedSeconds what it was to receive
     * @param receivedSeconds what it did receive
     */
    public record Patch(int number, Part place, double plannedSeconds, double receivedSeconds) {}

    private record Light(Part reach, double planned, double received) {}

    public SheetPatches {
        patches = List.copyOf(patches);
    }

    /**
     * The patches of one piece.
     *
     * @param receivedSeconds seconds of full light that a step really gave
     */
    public static SheetPatches of(
            List<ExposureStep> steps, LampLag lag, ToDoubleFunction<ExposureStep> receivedSeconds) {
        List<Light> lights = new ArrayList<>();
        for (ExposureStep step : steps) {
            step.planned(lag).forEach(g -> lights.add(new Light(reach(g), g.receivedSeconds(), 0)));
            step.given(receivedSeconds.applyAsDouble(step), lag)
                    .forEach(g -> lights.add(new Light(reach(g), 0, g.receivedSeconds())));
        }
        return new SheetPatches(numbered(lights));
    }

    private static Part reach(ExposureStep.Given given) {
        return given.phase().uncovered().orElse(Part.WHOLE);
    }

    private static List<Patch> numbered(List<Light> lights) {
        TreeSet<Double> columns = new TreeSet<>();
        TreeSet<Double> rows = new TreeSet<>();
        for (Light light : lights) {
            add(columns, light.reach().left());
            add(columns, light.reach().left() + light.reach().width());
            add(rows, light.reach().top());
            add(rows, light.reach().top() + light.reach().height());
        }
        List<Patch> found = new ArrayList<>();
        for (Double top = rows.first(); rows.higher(top) != null; top = rows.higher(top)) {
            for (Double left = columns.first(); columns.higher(left) != null; left = columns.higher(left)) {
                Part place = new Part(left, top, columns.higher(left) - left, rows.higher(top) - top);
                double x = place.left() + place.width() / 2;
                double y = place.top() + place.height() / 2;
                double planned = 0;
                double received = 0;
                for (Light light : lights) {
                    if (light.reach().holds(x, y)) {
                        planned += light.planned();
                        received += light.received();
                    }
                }
                found.add(new Patch(0, place, planned, received));
            }
        }
        found.sort(Comparator.comparingDouble(Patch::plannedSeconds));
        List<Patch> numbered = new ArrayList<>();
        for (Patch p : found) {
            numbered.add(new Patch(numbered.size() + 1, p.place(), p.plannedSeconds(), p.receivedSeconds()));
        }
        return numbered;
    }

    private static void add(TreeSet<Double> bounds, double at) {
        Double near = bounds.floor(at + SAME_PLACE);
        if (near == null || at - near > SAME_PLACE) {
            bounds.add(at);
        }
    }
}
