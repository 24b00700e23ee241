package keyslate.server.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.ThreeLights;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.PieceLayout;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.TestPlan;
import keyslate.core.tone.NamedTone;
import keyslate.server.PrintTurns;
import keyslate.server.Show;
import keyslate.server.medium.MediumPart;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.PatchView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.SectorView;
import org.jspecify.annotations.Nullable;

/**
 * The patches of a test with what they are called and where they lie: on the frame and in the picture of the whole test.
 *
 * @param all in the order of their numbers
 */
public record Patches(List<OnPaper> all) {
    private static final double NOTHING_STOPS = -30;

    /**
     * A patch.
     *
     * @param view the part of the frame on its piece
     * @param inPicture where it lies in the picture of all pieces
     * @param name what it is called besides its number, such as "f/11"; empty where nothing but the time differs
     * @param mark how its piece is told from the others, in words; empty on one piece
     */
    public record OnPaper(SheetPatches.Patch patch, Part view, Part inPicture, String name, String mark) {
        /** The disc over it, where it is a sector of one. */
        public WedgeDisc disc() {
            return Patches.disc(patch.step());
        }

        /** Whether a tone of the frame lies in it. */
        public boolean holds(NamedTone tone) {
            if (patch.sector().isEmpty()) {
                return tone.liesIn(view, patch.place());
            }
            double x = (tone.x() - view.left()) / view.width();
            double y = (tone.y() - view.top()) / view.height();
            WedgeDisc disc = disc();
            return disc.shareAt(x, y) == disc.share(patch.sector().getAsInt());
        }
    }

    public Patches {
        all = List.copyOf(all);
    }

    /** How the pieces of a sheet lie in its picture. */
    public static PieceLayout layout(Rig rig, int pieces) {
        TestPlan plan = rig.recipe().test();
        if (pieces == 1) {
            return PieceLayout.SINGLE;
        }
        return plan.pieces() == pieces ? plan.layout() : PieceLayout.laid(pieces);
    }

    /**
     * The patches of a script.
     *
     * @param pieces the part of the frame on each
     * @param seconds of full light that a step gave, by its place; nothing where it is not in the map
     */
    public static Patches of(List<ExposureStep> given, Rig rig, List<Part> pieces, Map<Integer, Double> seconds) {
        ThreeLights.Joined joined = ThreeLights.joined(given, seconds, rig.lag());
        List<ExposureStep> steps = joined.steps();
        Map<Integer, Double> received = joined.received();
        PieceLayout layout = layout(rig, pieces.size());
        SheetPatches found = SheetPatches.of(steps, rig.lag(), new SheetPatches.StepLight() {
            @Override
            public double received(ExposureStep step) {
                return received.getOrDefault(step.place(), 0.0);
            }

            @Override
            public double openingFactor(ExposureStep step) {
                return rig.openingFactor(step.opening());
            }
        });
        boolean openings = differ(steps.stream().map(ExposureStep::opening).toList());
        boolean lights = differ(steps.stream().map(ExposureStep::light).toList());
        // Where both parts of a split lie on every patch none is called by them.
        boolean alike = found.patches().stream().allMatch(SheetPatches.Patch::isOfSeveralLights);
        List<OnPaper> all = new ArrayList<>();
        for (SheetPatches.Patch patch : found.patches()) {
            String name = openings ? Show.aperture(patch.step().opening()) : lights && !alike ? named(patch, all) : "";
            all.add(new OnPaper(
                    patch,
                    pieces.get(patch.piece() - 1),
                    layout.place(patch.piece()).within(patch.place()),
                    patch.sector().isPresent() ? label(patch) : name,
                    pieces.size() > 1 ? mark(rig.recipe().test(), patch.piece()) : ""));
        }
        return new Patches(all);
    }

    /** By its light, and where another one has the same by how much more it gets. */
    private static String named(SheetPatches.Patch patch, List<OnPaper> before) {
        String light = lights(patch);
        return before.stream()
                .map(OnPaper::patch)
                .filter(p -> p.piece() != patch.piece() && lights(p).equals(light))
                .findFirst()
                .map(p -> light + " " + Show.stops(Stops.ofFactor(patch.plannedSeconds() / p.plannedSeconds())))
                .orElse(light);
    }

    /** What the pack of a piece does to the print beside the one that stood; empty where that is no pack, or the same. */
    public static String turns(Light stood, Light light) {
        if (stood.points().isEmpty() || light.points().isEmpty()) {
            return "";
        }
        return PrintTurns.isSame(stood.toPack(), light.toPack())
                ? ""
                : PrintTurns.words(stood.toPack(), light.toPack());
    }

    /** The same as planned. */
    public static Patches planned(List<ExposureStep> steps, Rig rig, List<Part> pieces) {
        return of(
                steps,
                rig,
                pieces,
                steps.stream().collect(Collectors.toMap(ExposureStep::place, s -> s.receivedSeconds(rig.lag()))));
    }

    private static boolean differ(List<?> figures) {
        return figures.stream().distinct().count() > 1;
    }

    private static WedgeDisc disc(ExposureStep step) {
        return step.phases().stream()
                .map(Phase::disc)
                .flatMap(Optional::stream)
                .findFirst()
                .orElseThrow();
    }

    /** "20, D 0.60". */
    private static String label(SheetPatches.Patch patch) {
        WedgeDisc disc = disc(patch.step());
        int sector = patch.sector().getAsInt();
        return Show.number(disc.labels().get(sector)) + ", D "
                + String.format(Locale.ROOT, "%.2f", disc.density(sector).inLog10());
    }

    /** How a piece is marked, in words: "upper left corner clipped", "3 nips"; empty by order. */
    public static String mark(TestPlan plan, int piece) {
        if (!(plan instanceof PiecesPlan pieces)) {
            return "";
        }
        return switch (pieces.marks()) {
            case CORNERS -> {
                List<String> corners = PieceMarks.corners(piece).stream()
                        .map(c -> c.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                        .toList();
                yield Show.listed(corners) + (corners.size() == 1 ? " corner clipped" : " corners clipped");
            }
            case NIPS -> piece + (piece == 1 ? " nip" : " nips");
            case ORDER -> "";
        };
    }

    /** The numbers of the patches in which a tone lies. */
    public List<Integer> holding(NamedTone tone) {
        return all.stream()
                .filter(p -> p.holds(tone))
                .map(p -> p.patch().number())
                .toList();
    }

    /** Whether they differ in their lights, so that their times cannot be laid in one row. */
    public boolean differInLight() {
        return differ(all.stream().map(p -> p.patch().step().light()).toList());
    }

    /** Whether several lights lie on each of them: both parts of a split. */
    public boolean isOfBothLights() {
        return all.stream().anyMatch(p -> p.patch().isOfSeveralLights());
    }

    /** The rows of a test that got more than one light on one piece, each with its patches; all in one as a rule. */
    public List<Patches> rows() {
        Map<Light, List<OnPaper>> rows = all.stream()
                .collect(Collectors.groupingBy(p -> p.patch().step().light(), LinkedHashMap::new, Collectors.toList()));
        boolean inRows = all.stream().allMatch(p -> p.patch().piece() == 1)
                && rows.values().stream().allMatch(row -> row.size() > 1);
        return inRows ? rows.values().stream().map(Patches::new).toList() : List.of(this);
    }

    /** The row that a patch lies in, from 1. */
    public int row(OnPaper patch) {
        List<Patches> rows = rows();
        return IntStream.range(0, rows.size())
                        .filter(i -> rows.get(i).all().contains(patch))
                        .findFirst()
                        .orElseThrow()
                + 1;
    }

    /** The marks that the test is read by. */
    List<MediumPart.Mark> asks(Rig rig, boolean blackWanted) {
        if (all.size() < 2) {
            return List.of();
        }
        if (differInLight() && rows().size() == 1) {
            return List.of(MediumPart.PIECE);
        }
        if (rig.subject().isProof()) {
            return List.of(MediumPart.FILM_EDGE);
        }
        // Whites and black tell both parts of a split; a middle between them nothing more.
        return rig.medium().marksFor(blackWanted).stream()
                .filter(m -> !isOfBothLights() || !"rightAt".equals(m.field()))
                .toList();
    }

    /** The patches as the page sees them. */
    List<PatchView> views(Rig rig) {
        double middle = Math.sqrt(all.get((all.size() - 1) / 2).patch().plannedSeconds()
                * all.get(all.size() / 2).patch().plannedSeconds());
        boolean lights = differInLight();
        return all.stream()
                .map(p -> {
                    double about = lights ? asDark(rig, p.patch()).inSeconds() : middle;
                    double given = p.patch().receivedSeconds();
                    return new PatchView(
                            p.patch().number(),
                            p.patch().plannedSeconds(),
                            Math.rint(given * 1000) / 1000,
                            given > 0 ? Stops.ofFactor(given / about).inStops() : NOTHING_STOPS,
                            RectView.of(p.inPicture()),
                            p.patch().piece(),
                            row(p),
                            lights(p.patch()),
                            p.name(),
                            turns(rig.light(), p.patch().step().light()),
                            p.mark(),
                            sector(p));
                })
                .toList();
    }

    /** What a patch gets, through its own light or lights, where the print is as dark as at the base exposure. */
    public static ExposureTime asDark(Rig rig, SheetPatches.Patch patch) {
        if (patch.isOfSeveralLights()) {
            return ExposureTime.ofSeconds(rig.exposure().parts().stream()
                    .mapToDouble(p -> p.time().inSeconds())
                    .sum());
        }
        return rig.recipe().test().asDark(rig.base(), patch.step().light(), rig.testRig());
    }

    private static String lights(SheetPatches.Patch patch) {
        return patch.isOfSeveralLights()
                ? patch.parts().stream().map(r -> r.light().notation()).collect(Collectors.joining(" + "))
                : patch.step().light().notation();
    }

    /** The sector of a disc that a patch is; none as a rule. */
    public static @Nullable SectorView sector(OnPaper p) {
        if (p.patch().sector().isEmpty()) {
            return null;
        }
        WedgeDisc disc = disc(p.patch().step());
        int sector = p.patch().sector().getAsInt();
        return new SectorView(disc.fromDegrees(sector), disc.fromDegrees(sector + 1));
    }
}
