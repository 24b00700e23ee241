package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.HeadLights;
import keyslate.core.reading.LearnedBench;
import keyslate.core.reading.Looks;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.reading.SlateEvidence.Bound;
import keyslate.core.reading.SlateEvidence.Lag;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.rescale.Links;
import keyslate.core.script.LampWay;
import keyslate.core.script.Settings;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.StripDirection;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.TestPlan;
import keyslate.core.test.TestRig;
import keyslate.core.test.TestScript;
import keyslate.core.test.WedgePlan;
import keyslate.core.trial.printer.TestTable.Given;

/**
 * A kind of test, its marks and the advice on them, followed to the letter: the test about a plain guess, planned as the application plans it; what settles the
 * reading, with all readings so far; the print. Every strip is looked at twice, the second time with the marks hidden. Lag, openings and filters are those that ship with the application: none was measured.
 */
public final class MonoByTests {
    private static final ExposureTime GUESS = ExposureTime.ofSeconds(10);
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final HeadTable HEAD = HeadTable.generic(PAPER, HeadTable.Way.SINGLE);
    private static final Length SIZE = Length.ofMm(20);
    private static final Stops OF_A_SHEET = Stops.ofFraction(1, 2);
    private static final double SHORTEST = 1.5;
    private static final double LONGEST_SECONDS = 600;
    private static final int OPENINGS = 9;
    private static final int LOOKS = 2;

    /** The kinds of test. */
    public enum Kind {
        COVER,
        SAME_SPOT,
        OPENINGS,
        WEDGE,
        GUESS,
        PIECES,
        PRESSES,
        /** A covered strip in two rows, soft and hard; the print is a split. */
        SPLIT,
        /** A covered strip through the dials of a colour head, which stand for grades by a generic table. */
        DIALS
    }

    /**
     * A print.
     *
     * @param lampOns in how many equal exposures it is given
     * @param hard the second part of a split; none of a print through one filter
     */
    public record Print(GradeFilter filter, double setSeconds, int lampOns, double openings, Optional<Print> hard) {}

    /**
     * What a printer knows from earlier slates of the same bench.
     *
     * @param told of filters and lag
     * @param guesses by how much first guesses were off
     * @param start the filter to begin with, by a proof that shows this negative beside one that was printed; none where nothing shows it
     */
    public record Bench(LearnedBench.Told told, List<Stops> guesses, Optional<GradeFilter> start) {
        /** The first slate. */
        public static final Bench NEW = new Bench(
                new LearnedBench.Told(FilterTable.NOTHING, new Lag(0, Links.LAG.limit())), List.of(), Optional.empty());

        /** What is known after slates of one bench, all their first guesses but the first by a proof. */
        public static Bench after(List<Slate> slates, GradeFilter start) {
            return new Bench(
                    LearnedBench.of(
                            slates.stream().map(Slate::marks).toList(), GradedLights.usual(PAPER), Links.LAG.limit()),
                    slates.stream().skip(1).flatMap(s -> s.guessOff().stream()).toList(),
                    Optional.of(start));
        }
    }

    /**
     * A slate.
     *
     * @param prints that stood after each piece
     * @param marks of its tests, at the opening that stood last
     * @param guessOff by how much its first guess was off; none where no strip told
     */
    public record Slate(List<Print> prints, List<Mark> marks, Optional<Stops> guessOff) {}

    private final TestTable table;
    private final Kind kind;
    private final VariableContrastPaper paper;
    private final SlateEvidence.LightModel lights;
    private final Bench bench;
    private final List<SeenMark> seen = new ArrayList<>();
    private final List<Print> stood = new ArrayList<>();
    private Light light = Light.filter(GradeFilter.G2);
    private LensOfTests lens = LensOfTests.atReference();
    private ExposureTime base = GUESS;
    /** The filter on the other side of the exact grade, for a second row. */
    private Optional<Light> beside = Optional.empty();

    private Optional<Stops> guessOff = Optional.empty();

    private MonoByTests(TestTable table, Kind kind, Bench bench) {
        this.table = table;
        this.kind = kind;
        this.bench = bench;
        FilterTable filters = kind == Kind.DIALS
                ? bench.told().filters().over(HEAD.filters(PAPER))
                : bench.told().filters();
        this.paper = filters.isEmpty() ? PAPER : new VariableContrastPaper(filters);
        this.lights = kind == Kind.DIALS ? HeadLights.of(PAPER, HEAD) : GradedLights.usual(paper);
        bench.start().map(Light::filter).ifPresent(l -> light = l);
    }

    /** The print that stands after each piece, until the advice says done. */
    public static List<Print> follow(TestTable table, Kind kind) {
        return slate(table, kind, Bench.NEW).prints();
    }

    /** The same with what earlier slates told, and what this one tells the next. */
    public static Slate slate(TestTable table, Kind kind, Bench bench) {
        if (kind == Kind.SPLIT) {
            return MonoBySplit.slate(table, bench);
        }
        MonoByTests printer = new MonoByTests(table, kind, bench);
        printer.tests();
        return new Slate(printer.stood, printer.marks(), printer.guessOff);
    }

    private void tests() {
        Optional<TestPlan> next = Optional.of(first());
        while (next.isPresent() && stood.size() < Printers.MOST_PIECES) {
            next = test(next.get());
            stood.add(print());
        }
    }

    private TestPlan first() {
        CheckStrip strip = CheckStrip.first(base, bench.guesses());
        PatchSeries wide = PatchSeries.stops(strip.step(), 2, strip.patches());
        return switch (kind) {
            case COVER, DIALS -> cover(wide).inRows(bench.start().isPresent() ? beside(light) : List.of());
            case SAME_SPOT -> new SameSpotPlan(wide, StripDirection.DARK_RIGHT, SIZE, SIZE, Optional.empty());
            case PIECES -> new PiecesPlan(wide, List.of(), PieceMarks.Way.CORNERS, SIZE, SIZE, Optional.empty());
            case OPENINGS ->
                new OpeningsPlan(
                        Optional.empty(),
                        Optional.empty(),
                        1,
                        OPENINGS,
                        StripDirection.DARK_RIGHT,
                        SIZE,
                        SIZE,
                        Optional.empty(),
                        Optional.of(aGradeHarder(light)));
            case WEDGE -> new WedgePlan(WedgeDisc.USUAL, Optional.empty(), SIZE, Optional.empty());
            case GUESS -> new GuessPlan(Optional.empty(), 1, Optional.empty(), Optional.empty());
            case PRESSES -> cover(wide.pressed(PatchSeries.FAR_PRESSES));
            case SPLIT -> throw new IllegalStateException("a split is printed by MonoBySplit");
        };
    }

    private static List<Light> beside(Light light) {
        return light.toFilter().neighbours().stream().map(Light::filter).toList();
    }

    private Light aGradeHarder(Light light) {
        double grade = light.toFilter().grade().onScale();
        Grade beside = Grade.of(grade + 1 <= 5 ? grade + 1 : grade - 1);
        return Light.filter(paper.nearest(beside));
    }

    private static CoverStripPlan cover(PatchSeries series) {
        return new CoverStripPlan(
                series, StripDirection.DARK_RIGHT, SIZE, SIZE, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** What settles it: a covered strip, in two rows where another filter may be the one. */
    private TestPlan check(CheckStrip strip) {
        PatchSeries series = PatchSeries.stops(strip.step(), 2, strip.patches());
        boolean pressed = kind == Kind.PRESSES;
        return cover(pressed ? series.pressed(PatchSeries.FINE_PRESSES) : series)
                .inRows(beside);
    }

    private TestRig rig() {
        return new TestRig(
                light,
                lens.mark(),
                LensOfTests.RING,
                kind == Kind.PRESSES ? LampWay.MY_TIMER : LampWay.SWITCHED,
                TimerSteps.tenths(),
                lag(),
                Settings.SEEN,
                this::carried);
    }

    /** What a second row is made about: the whites through the other filter. */
    private ExposureTime carried(ExposureTime time, Light to) {
        return seen.isEmpty()
                ? time.times(Math.pow(10, lights.factorLog(to, Tone.WHITES) - lights.factorLog(light, Tone.WHITES)))
                : weighed(to).time(Tone.WHITES, to, printedIn()).orElseThrow().time();
    }

    private static LampLag lag() {
        return LampLag.ofSeconds(Links.LAG.figure());
    }

    /** Makes a test and reads it; the plan that follows, or none when it is settled. */
    private Optional<TestPlan> test(TestPlan plan) {
        TestScript script = workable(plan);
        List<SheetPatches.Patch> patches = lens.patches(script, lag());
        if (plan instanceof GuessPlan) {
            return sheet(patches.get(0), given(patches.get(0)));
        }
        List<Light> rows =
                patches.stream().map(p -> p.step().light()).distinct().toList();
        for (Light row : rows) {
            Optional<CheckStrip> beyond = read(
                    row,
                    patches.stream().filter(p -> p.step().light().equals(row)).toList());
            if (beyond.isPresent() && row.equals(light)) {
                base = beyond.get().centre();
                return Optional.of(plan instanceof TestPlan.OfSeries ? check(beyond.get()) : plan);
            }
        }
        return advised();
    }

    /** Reads a strip, or one row of it; the strip that follows where the answer lies off it. */
    private Optional<CheckStrip> read(Light row, List<SheetPatches.Patch> patches) {
        List<Given> given = patches.stream().map(this::given).toList();
        List<ExposureTime> totals = patches.stream()
                .map(p -> ExposureTime.ofSeconds(p.receivedSeconds()))
                .toList();
        Looks whites = looks(() -> table.whites(row.toFilter(), given));
        if (Marks.beyond(whites.place(), totals.size())) {
            return Optional.of(CheckStrip.beyond(totals, whites.place() > 0));
        }
        see(Tone.WHITES, row, whites, patches);
        Looks blacks = looks(() -> table.blacks(row.toFilter(), given));
        if (!Marks.beyond(blacks.place(), totals.size())) {
            see(Tone.BLACKS, row, blacks, patches);
        } else {
            Bound side = blacks.place() < 0 ? Bound.AT_MOST : Bound.AT_LEAST;
            see(Tone.BLACKS, row, new Looks(List.of(side == Bound.AT_MOST ? 0.0 : totals.size() - 1.0)), side, patches);
        }
        return Optional.empty();
    }

    private Optional<TestPlan> sheet(SheetPatches.Patch patch, Given given) {
        double more = Math.rint(-6 * table.tooDark(light.toFilter(), given)) / 6;
        ExposureTime right = ExposureTime.ofSeconds(patch.receivedSeconds()).plus(Stops.of(more));
        seen.add(new SeenMark(Tone.WHITES, light, right, OF_A_SHEET, 1, lens, Bound.AT));
        return advised();
    }

    private static Looks looks(DoubleSupplier eye) {
        return new Looks(DoubleStream.generate(eye).limit(LOOKS).boxed().toList());
    }

    private void see(Tone tone, Light row, Looks looks, List<SheetPatches.Patch> patches) {
        see(tone, row, looks, Bound.AT, patches);
    }

    private void see(Tone tone, Light row, Looks looks, Bound bound, List<SheetPatches.Patch> patches) {
        SeenMark mark = SeenMark.on(tone, row, looks, bound, patches, lens);
        if (tone == Tone.WHITES && guessOff.isEmpty() && row.equals(light)) {
            guessOff = Optional.of(mark.time().stopsFrom(base));
        }
        seen.add(mark);
    }

    private Given given(SheetPatches.Patch patch) {
        return lens.given(patch, lag());
    }

    /** Closes the lens by whole stops until no burst is too short to repeat, or opens it when it would take ten minutes. */
    private TestScript workable(TestPlan plan) {
        for (int i = 0; i < 6; i++) {
            TestScript script = plan.script(base, rig());
            if (script.totalSetSeconds() > LONGEST_SECONDS && moved(-1)) {
                continue;
            }
            boolean tooShort = script.patches().stream().anyMatch(p -> p.set() < SHORTEST);
            if (!tooShort || script.totalSetSeconds() > LONGEST_SECONDS / 2 || !moved(1)) {
                return script;
            }
        }
        return plan.script(base, rig());
    }

    /** Moves the lens by a stop, time and all. */
    private boolean moved(int stops) {
        Optional<LensOfTests> next = lens.moved(stops);
        next.ifPresent(to -> {
            Stops more = to.moreThan(lens);
            base = base.plus(more);
            lens = to;
        });
        return next.isPresent();
    }

    /** What all readings so far say; then the strip that settles what they leave open. */
    private Optional<TestPlan> advised() {
        SlateEvidence said = weighed(light);
        ExposureTime now = said.time(Tone.WHITES, light).orElseThrow().time();
        VariableContrastPaper turnedOut = paper.turnedOut(f -> said.rangeOff(Light.filter(f)));
        Optional<GradeAdvice.Outcome> outcome = said.between(Tone.BLACKS, Tone.WHITES)
                .map(d -> GradeAdvice.forRange(turnedOut, light.toFilter(), now, GradedLights.neededRange(d)));
        Light next = outcome.map(o -> Light.filter(GradeAdvice.goingOn(turnedOut, read(), o)))
                .orElse(light);
        beside = outcome.flatMap(o -> GradeAdvice.beside(turnedOut, next.toFilter(), o))
                .map(Light::filter);
        SlateEvidence.Estimate time =
                weighed(next).time(Tone.WHITES, next, printedIn()).orElseThrow();
        light = next;
        base = time.time();
        Stops open = seen.stream()
                .filter(s -> s.tone() == Tone.BLACKS)
                .map(SeenMark::limit)
                .min(Comparator.naturalOrder())
                .filter(limit -> limit.compareTo(time.toSettle()) > 0)
                .orElse(time.toSettle());
        return CheckStrip.after(base, open).map(this::check);
    }

    /** Filters that whites were read through, and the standing one. */
    private List<GradeFilter> read() {
        return Stream.concat(
                        Stream.of(light),
                        seen.stream().filter(s -> s.tone() == Tone.WHITES).map(SeenMark::light))
                .map(Light::toFilter)
                .distinct()
                .toList();
    }

    private int printedIn() {
        return kind == Kind.PRESSES
                ? seen.stream()
                        .filter(s -> s.tone() == Tone.WHITES)
                        .reduce((first, last) -> last)
                        .map(SeenMark::lampOns)
                        .orElse(1)
                : 1;
    }

    private List<Mark> marks() {
        return seen.stream().map(s -> s.at(lens)).toList();
    }

    private SlateEvidence weighed(Light standing) {
        return SlateEvidence.of(marks(), lights, bench.told().lag(), standing);
    }

    private Print print() {
        int ons = seen.isEmpty() ? 1 : printedIn();
        double each = Printers.tenth(base.inSeconds() / ons + lag().inSeconds());
        return new Print(light.toFilter(), each * ons, ons, lens.closed(), Optional.empty());
    }
}
