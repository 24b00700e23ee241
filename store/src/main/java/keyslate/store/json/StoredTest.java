package keyslate.store.json;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.StripDirection;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.PacksAround;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.Spot;
import keyslate.core.test.TestPlan;
import keyslate.core.test.WedgePlan;
import org.jspecify.annotations.Nullable;

/**
 * The plan of a test as it is stored and sent; what does not belong to its kind is null.
 *
 * @param kind which test: STRIP (covered patch by patch), SAME_SPOT, OPENINGS, WEDGE, GUESS (one sheet on a hunch) or PIECES
 * @param series EQUAL_STOPS, EQUAL_SECONDS, OWN_TIMES or PRESSES
 * @param centreSeconds of a series of stops or seconds; null follows the base exposure
 * @param stepStops from patch to patch
 * @param stepSeconds from patch to patch in equal seconds
 * @param patches of a series of stops or seconds, or of openings
 * @param own times received, rising, seconds
 * @param presses counts of one setting in all for each patch
 * @param pressSeconds what the timer is set to for a press; null puts the base exposure in the middle
 * @param direction where the dark end lies: DARK_RIGHT, DARK_LEFT, DARK_BOTTOM or DARK_TOP
 * @param patchMm length of a patch, of a window or of a piece; diameter of a disc
 * @param breadthMm of a strip, a window or a piece
 * @param place of a strip across the picture, 0 to 1; null is chosen by computation
 * @param spotX middle of a window, a disc or a piece on the picture, 0 to 1; null is chosen by computation
 * @param spotY the same from its upper edge
 * @param seconds received: through every opening, beside a wedge, by one sheet; null follows the base exposure
 * @param firstMark engraved, of the lightest patch; null lies about the opening that stands
 * @param clicks of the lens from patch to patch
 * @param referenceSeconds the exposure that the labels of a wedge are for
 * @param labels of a wedge, clockwise from the top, seconds
 * @param share of the picture that one sheet prints, 0.05 to 1
 * @param lights of pieces, in the paper's notation; empty = one light and a series
 * @param around packs about the one that stands, in place of lights; null = none
 * @param marks how pieces are told apart: CORNERS, NIPS or ORDER
 * @param second light of a second row of a strip, or of the right half of one sheet; null = one light
 * @param secondSeconds what the middle of a second row receives; null = what keeps the print as dark
 * @param lies where the second light falls: BESIDE, ON_TOP (same patches, same steps) or ON_WHOLE (in steps on the whole first part); null = BESIDE
 * @param third light of a third row of a strip; null = two rows at most
 */
public record StoredTest(
        String kind,
        @Nullable String series,
        @Nullable Double centreSeconds,
        @Nullable Double stepStops,
        @Nullable Double stepSeconds,
        @Nullable Integer patches,
        @Nullable List<Double> own,
        @Nullable List<Integer> presses,
        @Nullable Double pressSeconds,
        @Nullable String direction,
        @Nullable Double patchMm,
        @Nullable Double breadthMm,
        @Nullable Double place,
        @Nullable Double spotX,
        @Nullable Double spotY,
        @Nullable Double seconds,
        @Nullable Double firstMark,
        @Nullable Integer clicks,
        @Nullable Double referenceSeconds,
        @Nullable List<Double> labels,
        @Nullable Double share,
        @Nullable List<String> lights,
        @Nullable Around around,
        @Nullable String marks,
        @Nullable String second,
        @Nullable Double secondSeconds,
        @Nullable String lies,
        @Nullable String third) {
    /**
     * Pieces of packs about the one that stands.
     *
     * @param kind RING, GRID or LADDER
     * @param stepPoints from piece to piece, 2 to 60
     * @param rings how many steps it reaches, 1 to 3
     * @param mixtures whether pieces lie between the six directions of a ring
     * @param companionStops by how much two more pieces are lighter and darker; null = none
     */
    public record Around(
            String kind,
            double stepPoints,
            int rings,
            boolean mixtures,
            @Nullable Double companionStops) {
        public static Around of(PacksAround around) {
            return new Around(
                    around.kind().name(),
                    around.step(),
                    around.rings(),
                    around.mixtures(),
                    around.companion().map(Stops::inStops).orElse(null));
        }

        /**
         * As the core computes with it.
         *
         * @throws IllegalArgumentException for a kind that there is not; a quantity exception for what is out of range
         */
        public PacksAround toCore() {
            return new PacksAround(
                    PacksAround.Kind.valueOf(kind),
                    stepPoints,
                    rings,
                    mixtures,
                    Optional.ofNullable(companionStops).map(Stops::of));
        }
    }

    /** The kind of a covered strip. */
    public static final String STRIP = "STRIP";

    public static final String SAME_SPOT = "SAME_SPOT";
    public static final String OPENINGS = "OPENINGS";
    public static final String WEDGE = "WEDGE";
    public static final String GUESS = "GUESS";
    public static final String PIECES = "PIECES";

    public static StoredTest of(TestPlan plan) {
        if (plan instanceof CoverStripPlan strip) {
            Draft draft = new Draft(STRIP).series(strip.series());
            draft.place = strip.place().orElse(null);
            draft.second = strip.second().map(Light::notation).orElse(null);
            draft.secondSeconds =
                    strip.secondMiddle().map(ExposureTime::inSeconds).orElse(null);
            draft.lies = strip.isOfBothLights() ? strip.lies().name() : null;
            draft.third = strip.third().map(Light::notation).orElse(null);
            return draft.strip(strip.direction(), strip.patch(), strip.breadth())
                    .done();
        }
        if (plan instanceof SameSpotPlan same) {
            return new Draft(SAME_SPOT)
                    .series(same.series())
                    .strip(same.direction(), same.patch(), same.breadth())
                    .spot(same.spot())
                    .done();
        }
        if (plan instanceof OpeningsPlan openings) {
            Draft draft = new Draft(OPENINGS).strip(openings.direction(), openings.patch(), openings.breadth());
            draft.patches = openings.count();
            draft.clicks = openings.clicks();
            draft.firstMark = openings.first().orElse(null);
            draft.seconds = openings.time().map(ExposureTime::inSeconds).orElse(null);
            draft.place = openings.place().orElse(null);
            draft.second = openings.second().map(Light::notation).orElse(null);
            return draft.done();
        }
        if (plan instanceof WedgePlan wedge) {
            Draft draft = new Draft(WEDGE).spot(wedge.spot());
            draft.patchMm = wedge.diameter().inMm();
            draft.seconds = wedge.given().map(ExposureTime::inSeconds).orElse(null);
            draft.referenceSeconds = wedge.disc().referenceSeconds();
            draft.labels = wedge.disc().labels();
            return draft.done();
        }
        if (plan instanceof GuessPlan guess) {
            Draft draft = new Draft(GUESS).spot(guess.spot());
            draft.seconds = guess.time().map(ExposureTime::inSeconds).orElse(null);
            draft.share = guess.share();
            draft.second = guess.second().map(Light::notation).orElse(null);
            return draft.done();
        }
        PiecesPlan pieces = (PiecesPlan) plan;
        Draft draft = new Draft(PIECES).series(pieces.series()).spot(pieces.spot());
        draft.patchMm = pieces.patch().inMm();
        draft.breadthMm = pieces.breadth().inMm();
        draft.lights = pieces.lights().stream().map(Light::notation).toList();
        draft.around = pieces.around().map(Around::of).orElse(null);
        draft.marks = pieces.marks().name();
        return draft.done();
    }

    /**
     * The plan as the core computes with it.
     *
     * @throws IllegalArgumentException when a word or a number is none of its own
     */
    public TestPlan toCore() {
        return switch (kind) {
            case STRIP ->
                new CoverStripPlan(
                        toSeries(),
                        toDirection(),
                        mm(patchMm),
                        mm(breadthMm),
                        optional(place),
                        toSecond(),
                        time(secondSeconds),
                        CoverStripPlan.SecondLies.valueOf(or(lies, CoverStripPlan.SecondLies.BESIDE.name())),
                        optional(third).map(Light::of));
            case SAME_SPOT -> new SameSpotPlan(toSeries(), toDirection(), mm(patchMm), mm(breadthMm), toSpot());
            case OPENINGS ->
                new OpeningsPlan(
                        time(seconds),
                        optional(firstMark),
                        given("clicks", clicks),
                        given("patches", patches),
                        toDirection(),
                        mm(patchMm),
                        mm(breadthMm),
                        optional(place),
                        toSecond());
            case WEDGE ->
                new WedgePlan(
                        new WedgeDisc(given("referenceSeconds", referenceSeconds), given("labels", labels)),
                        time(seconds),
                        mm(patchMm),
                        toSpot());
            case GUESS -> new GuessPlan(time(seconds), given("share", share), toSpot(), toSecond());
            case PIECES ->
                new PiecesPlan(
                        toSeries(),
                        or(lights, List.<String>of()).stream().map(Light::of).toList(),
                        optional(around).map(Around::toCore),
                        PieceMarks.Way.valueOf(given("marks", marks)),
                        mm(patchMm),
                        mm(breadthMm),
                        toSpot());
            default -> throw new IllegalArgumentException("there is no test of the kind " + kind);
        };
    }

    private Optional<Light> toSecond() {
        return optional(second).map(Light::of);
    }

    private PatchSeries toSeries() {
        return new PatchSeries(
                PatchSeries.Kind.valueOf(given("series", series)),
                time(centreSeconds),
                Stops.of(given("stepStops", stepStops)),
                given("stepSeconds", stepSeconds),
                given("patches", patches),
                or(own, List.<Double>of()).stream().map(ExposureTime::ofSeconds).toList(),
                or(presses, PatchSeries.HALF_STOPS),
                time(pressSeconds));
    }

    private StripDirection toDirection() {
        return StripDirection.valueOf(given("direction", direction));
    }

    private Optional<Spot> toSpot() {
        return spotX == null || spotY == null ? Optional.empty() : Optional.of(new Spot(spotX, spotY));
    }

    private static Length mm(@Nullable Double length) {
        return Length.ofMm(given("length", length));
    }

    private static <T> Optional<T> optional(@Nullable T figure) {
        return Optional.ofNullable(figure);
    }

    private static Optional<ExposureTime> time(@Nullable Double seconds) {
        return Optional.ofNullable(seconds).map(ExposureTime::ofSeconds);
    }

    private static <T> T or(@Nullable T figure, T plain) {
        return figure == null ? plain : figure;
    }

    private static <T> T given(String field, @Nullable T figure) {
        if (figure == null) {
            throw new IllegalArgumentException("the test has no " + field);
        }
        return figure;
    }

    /** The fields, filled one by one: most kinds leave most of them open. */
    private static final class Draft {
        private final String kind;
        private @Nullable String series;
        private @Nullable Double centreSeconds;
        private @Nullable Double stepStops;
        private @Nullable Double stepSeconds;
        private @Nullable Integer patches;
        private @Nullable List<Double> own;
        private @Nullable List<Integer> presses;
        private @Nullable Double pressSeconds;
        private @Nullable String direction;
        private @Nullable Double patchMm;
        private @Nullable Double breadthMm;
        private @Nullable Double place;
        private @Nullable Double spotX;
        private @Nullable Double spotY;
        private @Nullable Double seconds;
        private @Nullable Double firstMark;
        private @Nullable Integer clicks;
        private @Nullable Double referenceSeconds;
        private @Nullable List<Double> labels;
        private @Nullable Double share;
        private @Nullable List<String> lights;
        private @Nullable Around around;
        private @Nullable String marks;
        private @Nullable String second;
        private @Nullable Double secondSeconds;
        private @Nullable String lies;
        private @Nullable String third;

        Draft(String kind) {
            this.kind = kind;
        }

        Draft series(PatchSeries of) {
            series = of.kind().name();
            centreSeconds = of.centre().map(ExposureTime::inSeconds).orElse(null);
            stepStops = of.step().inStops();
            stepSeconds = of.stepSeconds();
            patches = of.count();
            own = of.own().stream().map(ExposureTime::inSeconds).toList();
            presses = of.presses();
            pressSeconds = of.eachPress().map(ExposureTime::inSeconds).orElse(null);
            return this;
        }

        Draft strip(StripDirection dark, Length patch, Length breadth) {
            direction = dark.name();
            patchMm = patch.inMm();
            breadthMm = breadth.inMm();
            return this;
        }

        Draft spot(Optional<Spot> at) {
            spotX = at.map(Spot::x).orElse(null);
            spotY = at.map(Spot::y).orElse(null);
            return this;
        }

        StoredTest done() {
            return new StoredTest(
                    kind,
                    series,
                    centreSeconds,
                    stepStops,
                    stepSeconds,
                    patches,
                    own,
                    presses,
                    pressSeconds,
                    direction,
                    patchMm,
                    breadthMm,
                    place,
                    spotX,
                    spotY,
                    seconds,
                    firstMark,
                    clicks,
                    referenceSeconds,
                    labels,
                    share,
                    lights,
                    around,
                    marks,
                    second,
                    secondSeconds,
                    lies,
                    third);
        }
    }
}
