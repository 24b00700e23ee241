package keyslate.core.medium;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.CardSpot;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.GelPack.Gel;
import keyslate.core.colour.Hue;
import keyslate.core.colour.Layers;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.PackTimes;
import keyslate.core.darkroom.ColourModel;
import keyslate.core.darkroom.ColourNegative;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.StandInPaper;
import keyslate.core.darkroom.StandIns;
import keyslate.core.film.FrameNeed;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.ScanColour;
import keyslate.core.script.BaseExposure;

/** Chromogenic paper for colour negatives, through the dials of a colour head. */
public final class Colour implements Medium {
    public static final String ID = "COLOUR";

    /** Neutral density the grey card is to print at. */
    public static final double WANTED_DENSITY = CardSpot.WANTED_DENSITY;

    private static final double GREY_CARD = 0.18;
    /** What a point of a viewing filter is worth in a pack, by default (COL-06). */
    private static final double VIEWING_FACTOR = 0.5;

    private static final double USUAL_KELVIN = 3200;
    private static final double HALF = 0.5;
    private static final List<String> DIALS = List.of("cyan", "magenta", "yellow");
    /** As far apart as an eye tells at once. */
    private static final double STEP_BESIDE = 10;

    private final FilterSet filters;
    private final Head head;

    private final PrintModel model = new ColourModel();
    private final StandInPaper standIn = StandIns.colour();

    /** Through filters of a kind, on a head whose factors are not known. */
    public Colour(FilterSet filters) {
        this(filters, Head.USUAL);
    }

    private Colour(FilterSet filters, Head head) {
        this.filters = filters;
        this.head = head;
    }

    /**
     * What is known of the head that its packs are made on.
     *
     * @param times how time follows a pack
     * @param gels those that a pack is made of; empty where there are dials
     * @param lights what it prints with one after another in place of a pack; gels are not asked then
     * @param end where its dials end, points; infinite where nobody said, or where it has none
     */
    public record Head(PackTimes times, List<Gel> gels, Optional<AdditiveHead> lights, double end) {
        /** Dials, and factors that are not known. */
        public static final Head USUAL = new Head(PackTimes.USUAL, List.of(), Optional.empty());

        /** Whose dials go as far as anybody needs. */
        public Head(PackTimes times, List<Gel> gels, Optional<AdditiveHead> lights) {
            this(times, gels, lights, Double.POSITIVE_INFINITY);
        }

        public Head {
            gels = lights.isPresent() ? List.of() : List.copyOf(gels);
        }
    }

    /** The same on a head of which this is known. */
    public Colour on(Head other) {
        return new Colour(filters, other);
    }

    /** The lights that it prints with one after another, a pack being what the three print as. */
    public Optional<AdditiveHead> lights() {
        return head.lights();
    }

    /** The gels that a pack is made of, the fewest that come as near as any (COL-33); none where the head has dials. */
    public Optional<GelPack> gels(FilterPack pack) {
        return head.gels().isEmpty() ? Optional.empty() : Optional.of(GelPack.of(pack, head.gels()));
    }

    /** Whether its packs are made as on a head of which this is known. */
    public boolean isOn(Head other) {
        return head.equals(other);
    }

    @Override
    public Light settable(Light light) {
        FilterPack pack = light.toPack();
        return Light.dials(gels(pack)
                .map(GelPack::pack)
                .orElseGet(() -> FilterPack.of(dial(pack.inCyan()), dial(pack.inMagenta()), dial(pack.inYellow()))));
    }

    /** Whole points, as far as a dial goes. */
    private double dial(double points) {
        return Math.min(Math.floor(points + HALF), hasDials() ? head.end() : FilterPack.MOST);
    }

    private boolean hasDials() {
        return head.gels().isEmpty() && head.lights().isEmpty();
    }

    @Override
    public void checkReach(Light light) {
        beyond(light).ifPresent(words -> {
            throw Check.infeasible("light", words + "; take grey out, or put a gel for the rest under the lens");
        });
    }

    /** Which dial a pack would need beyond its end, in words; none where its head has no dials, or they go so far. */
    public Optional<String> beyond(Light light) {
        List<Double> points = light.points();
        return hasDials()
                ? IntStream.range(0, points.size())
                        .filter(i -> points.get(i) > head.end())
                        .mapToObj(i -> DIALS.get(i) + " would be " + Check.shown(points.get(i))
                                + ", and the dials of this head end at " + Check.shown(head.end()))
                        .findFirst()
                : Optional.empty();
    }

    /** How time follows a pack on its head. */
    public PackTimes times() {
        return head.times();
    }

    @Override
    public String id() {
        return ID;
    }

    @Override
    public boolean underSafelight() {
        return false;
    }

    @Override
    public Layers whiteInScan() {
        return ScanColour.WHITE;
    }

    /** COL-22 for a grey card on a normal negative under the usual lamp, to whole points. */
    @Override
    public Light plainLight() {
        Layers normal = ColourFilm.printingDensity(new Layers(GREY_CARD, GREY_CARD, GREY_CARD), Stops.ZERO);
        FilterPack pack =
                ColourBalance.of(normal, WANTED_DENSITY, USUAL_KELVIN, filters).pack();
        return Light.dials(
                FilterPack.of(Math.rint(pack.inCyan()), Math.rint(pack.inMagenta()), Math.rint(pack.inYellow())));
    }

    @Override
    public Optional<Light> usual(List<Light> kept) {
        return kept.isEmpty()
                ? Optional.empty()
                : Optional.of(Light.dials(FilterPack.of(middle(kept, 0), middle(kept, 1), middle(kept, 2))));
    }

    private static double middle(List<Light> lights, int dial) {
        double[] points =
                lights.stream().mapToDouble(l -> l.points().get(dial)).sorted().toArray();
        return points[points.length / 2];
    }

    @Override
    public Light read(String notation) {
        return Light.dials(Light.of(notation).toPack());
    }

    /** Of one part: a pack is one light. */
    @Override
    public BaseExposure.Part asOne(BaseExposure base) {
        return base.main();
    }

    /** COL-35, as far as the time is to follow; with the surfaces of gels. */
    @Override
    public double timeFactor(Light from, Light to) {
        return timeFactor(head.times(), from, to);
    }

    private double timeFactor(PackTimes by, Light from, Light to) {
        FilterPack before = from.toPack();
        FilterPack now = to.toPack();
        double surfaces =
                gels(now).flatMap(g -> gels(before).map(g::surfaceDensity)).orElse(0.0);
        return by.timeFactor(before, now, surfaces);
    }

    /** COL-35 whatever the time is to do: the factor that would keep the print as dark. */
    public double asDark(Light from, Light to) {
        return timeFactor(head.times().following(PackTimes.Following.ON), from, to);
    }

    @Override
    public Light forContrast(Light light, double contrast) {
        return light;
    }

    /** COL-06, by magenta and yellow alone and to whole points. */
    @Override
    public Light forCast(Light light, Hue cast, double points) {
        return shifted(light, cast.byMagentaAndYellow(VIEWING_FACTOR * points));
    }

    @Override
    public List<Light> beside(Light light) {
        return Stream.of(
                        FilterShift.NONE,
                        FilterShift.of(0, STEP_BESIDE, 0),
                        FilterShift.of(0, -STEP_BESIDE, 0),
                        FilterShift.of(0, 0, STEP_BESIDE),
                        FilterShift.of(0, 0, -STEP_BESIDE))
                .map(step -> shifted(light, step))
                .distinct()
                .toList();
    }

    @Override
    public Light between(Light one, Light other, double weight) {
        FilterShift way = other.toPack().toShift().minus(one.toPack().toShift());
        return shifted(one, way.times(weight));
    }

    @Override
    public Light shifted(Light light, FilterShift points) {
        FilterShift raw = light.toPack().toShift().plus(points);
        FilterPack pack = raw.inMagenta() < 0 || raw.inYellow() < 0
                ? NeutralRemoval.of(raw).pack()
                : FilterPack.of(raw.inCyan(), raw.inMagenta(), raw.inYellow());
        return settable(Light.dials(pack));
    }

    /** The dyes of each small part of a frame (COL-21), each layer by its own curve (COL-12). */
    @Override
    public Optional<FrameNeed> needByScan(Look frame, Look other, Look proof, Light light) {
        return FrameNeed.byColourScan(
                ProofTones.dyes(frame),
                ProofTones.dyes(other),
                net -> ColourPaper.logExposureFor(ColourPaper.LEAST + net));
    }

    /** The neutral keeps its density through any pack by COL-35, so a burn does too. */
    @Override
    public double burnFactor(Light base, ExposureTime time, Stops change, Light burn) {
        return timeFactor(base, burn);
    }

    /** COL-12, all layers alike: a pack moves the curve and does not bend it. */
    @Override
    public DoubleUnaryOperator curve(Light light) {
        return log -> ColourPaper.amount(log) - ColourPaper.LEAST;
    }

    @Override
    public Negative negative(ColourRaster scene) {
        return new Negative.Colour(ColourNegative.of(scene, Stops.ZERO));
    }

    @Override
    public PrintModel model() {
        return model;
    }

    @Override
    public StandInPaper standIn() {
        return standIn;
    }
}
