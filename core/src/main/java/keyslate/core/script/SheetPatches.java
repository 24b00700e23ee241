package keyslate.core.script;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import keyslate.core.exposure.LampLag;
import keyslate.core.light.Light;

/**
 * The patches of a test, found from where the light of its steps fell and not from their order.
 *
 * @param patches the one that was to get least first, row by row where rows differ in light; pieces of different lights in their order
 */
public record SheetPatches(List<Patch> patches) {
    private static final double SAME_PLACE = 1e-9;

    /**
     * A patch.
     *
     * @param number from 1, in the order of the list
     * @param piece it lies on, from 1
     * @param place on its piece; of a sector the whole disc
     * @param sector of a wedge, from 0; none as a rule
     * @param step one that fell on it
     * @param plannedSeconds what it was to receive, as if all of it came through the standing opening
     * @param receivedSeconds what it did receive, alike
     * @param lampOns how often the lamp went on for it: so often its lag counts
     * @param parts seconds received through each light, in their order; more than one where exposures through several lay on top of each other
     */
    public record Patch(
            int number,
            int piece,
            Part place,
            OptionalInt sector,
            ExposureStep step,
            double plannedSeconds,
            double receivedSeconds,
            int lampOns,
            List<Received> parts) {
        public Patch {
            parts = List.copyOf(parts);
        }

        /** Whether the light of several filters or packs lies on it. */
        public boolean isOfSeveralLights() {
            return parts.size() > 1;
        }

        private Patch numbered(int other) {
            return new Patch(other, piece, place, sector, step, plannedSeconds, receivedSeconds, lampOns, parts);
        }
    }

    /** Seconds through one light. */
    public record Received(Light light, double seconds) {}

    private record Fell(ExposureStep step, Part reach, Optional<WedgeDisc> disc, double planned, double received) {}

    public SheetPatches {
        patches = List.copyOf(patches);
    }

    /** What is known of the light of a step. */
    public interface StepLight {
        /** Seconds of full light that a step really gave. */
        double received(ExposureStep step);

        /** How many times the standing opening's light its opening gives. */
        double openingFactor(ExposureStep step);
    }

    /** Steps as they are planned, all through the standing opening. */
    public static SheetPatches of(
            List<ExposureStep> steps, LampLag lag, ToDoubleFunction<ExposureStep> receivedSeconds) {
        return of(steps, lag, new StepLight() {
            @Override
            public double received(ExposureStep step) {
                return receivedSeconds.applyAsDouble(step);
            }

            @Override
            public double openingFactor(ExposureStep step) {
                return 1;
            }
        });
    }

    /** The patches of all pieces. */
    public static SheetPatches of(List<ExposureStep> steps, LampLag lag, StepLight given) {
        Map<Integer, List<Fell>> pieces = new LinkedHashMap<>();
        for (ExposureStep step : steps) {
            double factor = given.openingFactor(step);
            List<Fell> lights = pieces.computeIfAbsent(step.piece(), p -> new ArrayList<>());
            step.planned(lag).forEach(g -> lights.add(light(step, g, factor * g.receivedSeconds(), 0)));
            step.given(given.received(step), lag)
                    .forEach(g -> lights.add(light(step, g, 0, factor * g.receivedSeconds())));
        }
        List<Patch> found = new ArrayList<>();
        pieces.values().stream().filter(lights -> !lights.isEmpty()).forEach(lights -> found.addAll(ofPiece(lights)));
        List<Light> rows = steps.stream().map(ExposureStep::light).distinct().toList();
        boolean onePiece = pieces.size() == 1;
        if (rows.size() == 1 || onePiece) {
            found.sort(Comparator.<Patch>comparingInt(p -> rows.indexOf(p.step().light()))
                    .thenComparingDouble(Patch::plannedSeconds));
        }
        return new SheetPatches(IntStream.range(0, found.size())
                .mapToObj(i -> found.get(i).numbered(i + 1))
                .toList());
    }

    private static Fell light(ExposureStep step, ExposureStep.Given given, double planned, double received) {
        Phase phase = given.phase();
        return new Fell(step, phase.uncovered().orElse(Part.WHOLE), phase.disc(), planned, received);
    }

    private static List<Patch> ofPiece(List<Fell> lights) {
        Optional<WedgeDisc> disc =
                lights.stream().flatMap(l -> l.disc().stream()).findFirst();
        return disc.isPresent() ? sectors(lights, disc.get()) : rectangles(lights);
    }

    private static List<Patch> sectors(List<Fell> lights, WedgeDisc disc) {
        double planned = lights.stream().mapToDouble(Fell::planned).sum();
        double received = lights.stream().mapToDouble(Fell::received).sum();
        ExposureStep step = lights.get(0).step();
        return IntStream.range(0, disc.labels().size())
                .mapToObj(s -> new Patch(
                        0,
                        step.piece(),
                        Part.WHOLE,
                        OptionalInt.of(s),
                        step,
                        planned * disc.share(s),
                        received * disc.share(s),
                        lampOns(lights),
                        parts(lights, disc.share(s))))
                .toList();
    }

    private static List<Patch> rectangles(List<Fell> lights) {
        TreeSet<Double> columns = new TreeSet<>();
        TreeSet<Double> rows = new TreeSet<>();
        for (Fell light : lights) {
            add(columns, light.reach().left());
            add(columns, light.reach().left() + light.reach().width());
            add(rows, light.reach().top());
            add(rows, light.reach().top() + light.reach().height());
        }
        List<Patch> found = new ArrayList<>();
        for (Double top = rows.first(); rows.higher(top) != null; top = rows.higher(top)) {
            for (Double left = columns.first(); columns.higher(left) != null; left = columns.higher(left)) {
                found.add(patch(lights, new Part(left, top, columns.higher(left) - left, rows.higher(top) - top)));
            }
        }
        return found;
    }

    private static Patch patch(List<Fell> lights, Part place) {
        double x = place.left() + place.width() / 2;
        double y = place.top() + place.height() / 2;
        double planned = 0;
        double received = 0;
        ExposureStep step = lights.get(0).step();
        List<Fell> fell = lights.stream().filter(l -> l.reach().holds(x, y)).toList();
        for (Fell light : fell) {
            planned += light.planned();
            received += light.received();
            step = light.step();
        }
        return new Patch(
                0, step.piece(), place, OptionalInt.empty(), step, planned, received, lampOns(fell), parts(fell, 1));
    }

    private static List<Received> parts(List<Fell> lights, double share) {
        Map<Light, Double> parts = new LinkedHashMap<>();
        lights.forEach(l -> parts.merge(l.step().light(), share * l.received(), Double::sum));
        return parts.entrySet().stream()
                .map(e -> new Received(e.getKey(), e.getValue()))
                .toList();
    }

    /** Every step once, however many phases of it fell there, times its presses. */
    private static int lampOns(List<Fell> lights) {
        return lights.stream()
                .map(Fell::step)
                .distinct()
                .mapToInt(ExposureStep::presses)
                .sum();
    }

    private static void add(TreeSet<Double> bounds, double at) {
        Double near = bounds.floor(at + SAME_PLACE);
        if (near == null || at - near > SAME_PLACE) {
            bounds.add(at);
        }
    }
}
