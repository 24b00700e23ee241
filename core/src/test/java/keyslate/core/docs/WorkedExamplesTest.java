package keyslate.core.docs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import keyslate.core.colour.CastCorrection;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.HeadDial;
import keyslate.core.colour.Hue;
import keyslate.core.colour.Layers;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround;
import keyslate.core.colour.ViewingLight;
import keyslate.core.colour.WetPrint;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.ColourMask;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.MixedBurn;
import keyslate.core.contrast.SchoolFactors;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.EnlargerLight;
import keyslate.core.darkroom.FilmCurve;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.PaperSpeed;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.exposure.StepWedge;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.exposure.WorkableTime;
import keyslate.core.local.CarriedWork;
import keyslate.core.local.HandLimits;
import keyslate.core.local.LocalChange;
import keyslate.core.local.MaskChart;
import keyslate.core.local.RunSchedule;
import keyslate.core.process.BathCapacity;
import keyslate.core.process.BathType;
import keyslate.core.process.Dilution;
import keyslate.core.process.DrumVolume;
import keyslate.core.process.ProcessTime;
import keyslate.core.process.ShelfLife;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.ScanDensity;
import keyslate.core.reading.StripMatch;
import keyslate.core.size.CutPlan;
import keyslate.core.size.CutYield;
import keyslate.core.size.PrintFit;
import keyslate.core.size.SizeChange;
import keyslate.core.size.ThinLens;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every worked example of {@code docs/formulas} comes out as it stands there. */
class WorkedExamplesTest {
    private static final Path PAGES = Path.of("..", "docs", "formulas");
    private static final Pattern ROW = Pattern.compile("\\| ([A-Z]{3}-\\d\\d) \\| (.+?) \\| (\\S+) \\|");
    private static final Pattern GIVEN =
            Pattern.compile("([a-z][a-z ]*?) (?:f/ )?(-?\\d[\\d.]*(?:/\\d+)?)(?: (?:s|stops?|mm|x|lx|%))?");
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();

    /** A row of a page: what is given by name, and the answer as text, so that its decimals are known. */
    record Example(String page, String formula, Map<String, Double> given, String answer) {
        double at(String name) {
            return Optional.ofNullable(given.get(name))
                    .orElseThrow(() -> new AssertionError(formula + " does not give “" + name + "”, only " + given));
        }

        ExposureTime time(String name) {
            return ExposureTime.ofSeconds(at(name));
        }

        Stops stops(String name) {
            return Stops.of(at(name));
        }

        Length mm(String name) {
            return Length.ofMm(at(name));
        }

        FNumber f(String name) {
            return FNumber.of(at(name));
        }

        Magnification times(String name) {
            return Magnification.of(at(name));
        }

        LocalChange change() {
            return LocalChange.ofStops(at("change"));
        }

        int count(String name) {
            return (int) at(name);
        }

        @Override
        public String toString() {
            return page + " " + formula + " " + given;
        }
    }

    private static final Map<String, ToDoubleFunction<Example>> FORMULAS = new LinkedHashMap<>();

    static {
        exposure();
        size();
        contrast();
        local();
        process();
        colourPrint();
        FORMULAS.put("SIZ-11", e -> CutYield.of(e.mm("sheet"), e.mm("long"), e.mm("piece"), e.mm("deep"), true));
        FORMULAS.put(
                "SIZ-13",
                e -> CutPlan.of(
                                e.mm("sheet"),
                                e.mm("long"),
                                List.of(new CutPlan.Piece("piece", e.mm("piece"), e.mm("deep"), e.count("pieces"))))
                        .orElseThrow()
                        .cuts());
        FORMULAS.put(
                "LOC-14",
                e -> CarriedWork.onto(e.time("base"), Map.of("area", e.change()), false)
                        .seconds()
                        .get("area"));
        FORMULAS.put("SIZ-12", e -> CutYield.strips(e.mm("wide"), e.mm("deep"), e.mm("strip")));
        colour();
        longExposures();
        splits();
        FORMULAS.put(
                "SIZ-09",
                e -> SizeChange.rescaled(
                                e.time("time"),
                                e.f("from"),
                                e.times("at"),
                                e.f("to"),
                                e.times("then"),
                                1,
                                e.at("added"),
                                Reciprocity.NONE)
                        .inSeconds());
        FORMULAS.put(
                "SIZ-10",
                e -> SizeChange.shortcutErrors(lens(e), e.times("from"), e.times("to"), 1, Length.ZERO)
                        .bySize()
                        .inStops());
        FORMULAS.put("LOC-12", e -> MaskChart.pixels(e.at("length"), e.at("resolution")));
        FORMULAS.put("LOC-13", e -> MaskChart.scale(1, e.at("nominal"), e.at("measured")));
        FORMULAS.put("REA-05", e -> ScanDensity.byReference(e.at("code"), e.at("reference"), e.at("density")));
        FORMULAS.put(
                "REA-07",
                e -> StripMatch.at(
                                List.of(e.time("first"), e.time("second")),
                                new double[] {e.at("light"), e.at("dark")},
                                e.at("wanted"),
                                StripMatch.Between.LINEAR)
                        .time()
                        .inSeconds());
        FORMULAS.put("DRK-01", e -> FilmCurve.density(e.at("scene"), e.at("exposure")));
        FORMULAS.put("DRK-02", e -> new EnlargerLight(e.at("strength")).logPerSecond(e.f("opening"), e.times("at")));
        FORMULAS.put("DRK-04", e -> ToneEncoding.encode(Math.pow(10, -e.at("density"))));
        FORMULAS.put(
                "REA-03",
                e -> NextRecipe.after(PAPER, filter(e.at("grade")), e.time("time"), e.stops("darker"), e.at("harder"))
                        .time()
                        .inSeconds());
    }

    private static void colourPrint() {
        FORMULAS.put("COL-11", e -> grey(e).red());
        FORMULAS.put("COL-12", e -> ColourPaper.amount(e.at("log")));
        FORMULAS.put("COL-13", e -> ColourPaper.castGain(e.at("amount"), e.at("points")));
        FORMULAS.put("COL-14", e -> ColourPaper.castWeight(e.at("amount"), e.at("reference")));
        FORMULAS.put("COL-15", e -> ColourPaper.lampShift(e.at("kelvin")).red());
        FORMULAS.put("COL-17", e -> new ViewingLight(e.at("kelvin")).white()[0]);
        FORMULAS.put("COL-18", e -> dyes(e).in(ViewingLight.USUAL).visualDensity());
        FORMULAS.put("COL-19", e -> dyes(e).integralDensity().red());
        FORMULAS.put(
                "COL-21",
                e -> DyeImage.looking(e.at("lightness"), 0, 0, ViewingLight.USUAL)
                        .amounts()
                        .red());
        FORMULAS.put(
                "COL-22",
                e -> ColourBalance.of(grey(e), e.at("density"), 3200, FilterSet.DICHROIC)
                        .pack()
                        .inMagenta());
        FORMULAS.put(
                "COL-24",
                e -> WetPrint.USUAL
                        .dryFromWet(new Layers(e.at("wet"), e.at("wet"), e.at("wet")))
                        .red());
    }

    private static Layers grey(Example e) {
        return ColourFilm.printingDensity(new Layers(e.at("scene"), e.at("scene"), e.at("scene")), Stops.ZERO);
    }

    private static DyeImage dyes(Example e) {
        return new DyeImage(new Layers(e.at("cyan"), e.at("magenta"), e.at("yellow")));
    }

    private static void process() {
        FORMULAS.put(
                "PRO-01",
                e -> Dilution.ofVolume(1, e.at("water"), e.at("volume")).concentrateMl());
        FORMULAS.put("PRO-02", e -> Dilution.volumeFrom(e.at("water"), e.at("concentrate")));
        FORMULAS.put(
                "PRO-03",
                e -> BathCapacity.of(e.at("litres"), e.at("takes"), e.at("used"))
                        .leftSquareMetres());
        FORMULAS.put("PRO-04", e -> BathCapacity.sheets8x10(e.at("area")));
        FORMULAS.put("PRO-05", e -> BathCapacity.areaOf(e.mm("width"), e.mm("height"), e.at("sheets")));
        FORMULAS.put("PRO-06", e -> BathCapacity.replenishMl(e.at("area"), e.at("rate")));
        FORMULAS.put(
                "PRO-07",
                e -> ProcessTime.atTemperature(BathType.MONO_DEVELOPER, e.at("time"), e.at("from"), e.at("to")));
        FORMULAS.put("PRO-08", e -> ProcessTime.usedFactor(e.at("used")));
        FORMULAS.put("PRO-09", e -> ProcessTime.factorialSeconds(e.at("emergence"), e.at("factor")));
        FORMULAS.put("PRO-10", e -> ShelfLife.of(e.at("age"), e.at("fullness")).leftDays());
        FORMULAS.put(
                "PRO-11",
                e -> DrumVolume.of(e.at("area"), DrumVolume.WETTING_ML_PER_M2, 0.8, 0)
                        .millilitres());
    }

    private static void colour() {
        FORMULAS.put("COL-01", e -> NeutralRemoval.of(shift(e)).timeFactor());
        FORMULAS.put("COL-02", e -> NeutralRemoval.withoutCyan(shift(e)).pack().inMagenta());
        FORMULAS.put("COL-03", e -> FilterSet.GEL.layerDensity(FilterPack.of(0, e.at("magenta"), e.at("yellow")), 1));
        FORMULAS.put(
                "COL-04",
                e -> FilterSet.IDEAL.timeFactor(
                        FilterPack.of(0, e.at("magenta"), 0),
                        FilterPack.of(0, e.at("magenta") + e.at("more"), 0),
                        FilterSet.Weights.GREEN,
                        0,
                        0));
        FORMULAS.put(
                "COL-05",
                e -> CastCorrection.of(Hue.R, e.at("points"), CastCorrection.Process.NEGATIVE, CastCorrection.Way.ADD)
                        .inYellow());
        FORMULAS.put(
                "COL-06",
                e -> CastCorrection.byViewingFilter(Hue.G, e.at("strength"), e.at("gain"))
                        .inMagenta());
        FORMULAS.put("COL-07", e -> ring(e, false).get(1).time().inSeconds());
        FORMULAS.put("COL-08", e -> ring(e, true).get(2).time().inSeconds());
        FORMULAS.put(
                "COL-09", e -> HeadDial.of(new double[][] {{0, 0}, {200, 150}}).pointsAt(e.at("dial")));
        FORMULAS.put("COL-10", e -> HeadDial.partlyInserted(e.at("share"), e.at("full")));
    }

    private static List<RingAround.Patch> ring(Example e, boolean mixtures) {
        return RingAround.plan(
                FilterPack.of(0, e.at("magenta"), e.at("yellow")),
                ExposureTime.ofSeconds(10),
                e.at("step"),
                1,
                mixtures,
                List.of(),
                FilterSet.IDEAL,
                FilterSet.Weights.GREEN);
    }

    private static FilterShift shift(Example e) {
        return FilterShift.of(e.at("cyan"), e.at("magenta"), e.at("yellow"));
    }

    private static Reciprocity paper(Example e) {
        return new Reciprocity(e.at("exponent"), 1);
    }

    private static void longExposures() {
        FORMULAS.put("EXP-21", e -> paper(e).actual(e.time("time")).inSeconds());
        FORMULAS.put(
                "EXP-22", e -> paper(e).scaled(e.time("time"), e.at("factor")).inSeconds());
        FORMULAS.put(
                "EXP-23", e -> paper(e).worthSeconds(List.of(e.time("each"), e.time("each")), e.at("independence")));
        FORMULAS.put(
                "EXP-24",
                e -> StepWedge.times(e.time("time"), List.of(Density.of(e.at("density"))))
                        .get(0)
                        .inSeconds());
        FORMULAS.put(
                "EXP-25",
                e -> StepWedge.exposureFor(e.time("wanted"), Density.of(e.at("density")))
                        .inSeconds());
        FORMULAS.put("EXP-26", e -> PaperSpeed.isoSpeed(e.at("log")));
        FORMULAS.put(
                "EXP-27",
                e -> PaperSpeed.timeOn(e.time("time"), e.at("before"), e.at("after"))
                        .inSeconds());
        FORMULAS.put(
                "EXP-28",
                e -> PaperSpeed.allowingForDryDown(e.time("time"), e.at("percent"))
                        .inSeconds());
    }

    private static void splits() {
        SplitExposure split = new SplitExposure(PAPER, Grade.of(-1), Grade.of(5));
        ColourHead head = new ColourHead(PAPER);
        FORMULAS.put(
                "CON-08",
                e -> split.equivalent(e.at("soft"), e.at("hard")).time().inSeconds());
        FORMULAS.put(
                "CON-09", e -> split.of(Grade.of(e.at("grade")), e.time("time")).softSeconds());
        FORMULAS.put("CON-10", e -> split.sensitivity(e.at("soft"), e.at("hard"), Density.of(e.at("tone")), true));
        FORMULAS.put(
                "CON-11",
                e -> split.find(
                                SplitExposure.School.EXACT,
                                Density.of(e.at("high")),
                                Density.of(e.at("shadow")),
                                e.at("white"),
                                e.at("black"))
                        .pair()
                        .softSeconds());
        FORMULAS.put("CON-12", e -> SchoolFactors.DOUBLE_FROM_4.factor(Grade.of(e.at("from")), Grade.of(e.at("to"))));
        FORMULAS.put(
                "CON-13", e -> head.lightOf(e.at("yellow"), e.at("magenta")).isoRange());
        FORMULAS.put("CON-14", e -> head.single(Grade.of(e.at("grade"))).yellow());
        FORMULAS.put(
                "CON-15",
                e -> head.dual(Grade.of(e.at("grade")), e.at("slower")).yellow());
        FORMULAS.put(
                "CON-16",
                e -> new MixedBurn(PAPER)
                        .of(
                                Grade.of(e.at("base")),
                                e.time("time"),
                                e.at("tone"),
                                e.stops("change"),
                                Grade.of(e.at("burn")))
                        .effective()
                        .inStops());
        FORMULAS.put(
                "CON-17",
                e -> ColourMask.over(PAPER, Grade.of(e.at("grade")), e.at("yellow"), 0)
                        .grade()
                        .onScale());
    }

    private static void exposure() {
        FORMULAS.put("EXP-01", e -> e.time("to").stopsFrom(e.time("from")).inStops());
        FORMULAS.put("EXP-02", e -> e.time("time").plus(e.stops("change")).inSeconds());
        FORMULAS.put(
                "EXP-03",
                e -> FNumber.ofSteps(e.count("step"), e.count("per stop")).inFStops());
        FORMULAS.put("EXP-04", e -> e.f("from").lightChangeTo(e.f("to")).inStops());
        FORMULAS.put(
                "EXP-05",
                e -> ApertureMark.ofEngraved(e.at("engraved"), e.count("per stop"))
                        .trueNumber()
                        .inFStops());
        FORMULAS.put(
                "EXP-06",
                e -> ApertureTrade.timeAt(e.time("time"), e.f("from"), e.f("to"))
                        .inSeconds());
        FORMULAS.put(
                "EXP-07",
                e -> ApertureTrade.openingFor(e.time("time"), e.f("from"), e.time("wanted"))
                        .inFStops());
        FORMULAS.put(
                "EXP-08",
                e -> TimerSteps.tenths().nearest(e.time("time")).time().inSeconds());
        FORMULAS.put("EXP-09", e -> lag(e).receivedSeconds(e.time("set")));
        FORMULAS.put(
                "EXP-10",
                e -> LampLag.fromTest(e.count("bursts"), e.time("each"), e.time("match"))
                        .inSeconds());
        FORMULAS.put(
                "EXP-11",
                e -> lag(e).oneBurstFor(e.count("bursts"), e.time("each")).inSeconds());
        FORMULAS.put("EXP-12", e -> LampLag.firstOrderReceivedSeconds(e.at("set"), e.at("rise"), e.at("afterglow")));
        FORMULAS.put("EXP-13", e -> patch(e, equalStops(e)));
        FORMULAS.put(
                "EXP-14",
                e -> patch(e, TestSeries.equalStopsAbout(e.time("centre"), e.stops("step"), e.count("patches"))));
        FORMULAS.put(
                "EXP-15", e -> patch(e, TestSeries.equalSeconds(e.time("first"), e.at("step"), e.count("patches"))));
        FORMULAS.put(
                "EXP-16",
                e -> patch(e, TestSeries.apertureLadder(e.time("first"), e.stops("step"), e.count("patches"))));
        FORMULAS.put(
                "EXP-17",
                e -> CoverStrip.plan(equalStops(e), TimerSteps.tenths(), lag(e), 0)
                        .patches()
                        .get(e.count("patch") - 1)
                        .burst()
                        .inSeconds());
        FORMULAS.put(
                "EXP-18",
                e -> WorkableTime.atLeast(
                                e.time("time"),
                                ApertureMark.ofEngraved(e.at("from"), e.count("per stop")),
                                e.time("shortest"),
                                e.count("per stop"),
                                ApertureMark.ofEngraved(e.at("smallest"), e.count("per stop")))
                        .time()
                        .inSeconds());
        FORMULAS.put(
                "EXP-19", e -> new PatchPick(0, e.at("weight")).timeOn(two(e)).inSeconds());
        FORMULAS.put("EXP-20", e -> new PatchPick(0, 0).uncertaintyOn(two(e)).inStops());
    }

    private static void size() {
        FORMULAS.put("SIZ-01", e -> {
            List<Double> sides = List.copyOf(e.given().values());
            return PrintFit.of(
                            Length.ofMm(sides.get(0)),
                            Length.ofMm(sides.get(1)),
                            Length.ofMm(sides.get(2)),
                            Length.ofMm(sides.get(3)),
                            PrintFit.Way.WHOLE_PICTURE)
                    .magnification()
                    .inTimes();
        });
        FORMULAS.put("SIZ-02", e -> SizeChange.timeFactor(e.times("from"), e.times("to"), e.at("pupil")));
        FORMULAS.put("SIZ-03", e -> lens(e).filmToLens(e.times("at")).inMm());
        FORMULAS.put("SIZ-04", e -> lens(e).lensToPaper(e.times("at")).inMm());
        FORMULAS.put(
                "SIZ-05",
                e -> lens(e).magnificationAt(e.mm("total"), Length.ZERO).inTimes());
        FORMULAS.put(
                "SIZ-06", e -> ThinLens.cornerLoss(e.mm("radius"), e.mm("lens")).inStops());
        FORMULAS.put(
                "SIZ-07",
                e -> SizeChange.timeByMeter(e.time("time"), e.at("before"), e.at("after"))
                        .inSeconds());
        FORMULAS.put(
                "SIZ-08",
                e -> SizeChange.timeByDistance(e.time("time"), e.mm("before"), e.mm("after"))
                        .inSeconds());
    }

    private static void contrast() {
        FORMULAS.put("CON-01", e -> GradeScale.isoRangeOf(Grade.of(e.at("grade"))));
        FORMULAS.put("CON-02", e -> PAPER.netDensity(e.at("blue"), e.at("green")));
        FORMULAS.put("CON-03", e -> PAPER.isoRange(e.at("ratio")));
        FORMULAS.put(
                "CON-04",
                e -> (PAPER.logTimeFor(0.6, Grade.of(e.at("grade"))) - PAPER.logTimeFor(0.6, Grade.of(e.at("from"))))
                        / Math.log10(2));
        FORMULAS.put("CON-05", e -> PAPER.pivotFactor(Grade.of(e.at("from")), Grade.of(e.at("to")), e.at("net")));
        FORMULAS.put(
                "CON-06", e -> GradeAdvice.neededRange(Grade.of(e.at("grade")), e.time("whites"), e.time("blacks")));
        FORMULAS.put(
                "CON-07",
                e -> GradeAdvice.exact(
                                PAPER,
                                Grade.of(e.at("grade")),
                                e.time("high"),
                                e.time("shadow"),
                                e.at("high net"),
                                e.at("shadow net"))
                        .grade()
                        .onScale());
    }

    private static void local() {
        FORMULAS.put("LOC-01", e -> e.change().secondsOn(e.time("base")));
        FORMULAS.put("LOC-02", e -> e.change().secondsOn(e.time("base")));
        FORMULAS.put(
                "LOC-03", e -> LocalChange.ofPercent(e.at("percent")).change().inStops());
        FORMULAS.put(
                "LOC-04",
                e -> HandLimits.DEFAULT
                        .check(e.time("base"), e.change(), e.count("per stop"))
                        .stopDown()
                        .inStops());
        FORMULAS.put(
                "LOC-05",
                e -> HandLimits.penumbra(e.mm("pupil"), e.mm("lens"), e.mm("height"))
                        .inMm());
        FORMULAS.put("LOC-06", e -> HandLimits.shadowScale(e.mm("lens"), e.mm("height")));
        FORMULAS.put(
                "LOC-07",
                e -> HandLimits.heightFor(e.mm("pupil"), e.mm("lens"), e.mm("width"))
                        .inMm());
        FORMULAS.put(
                "LOC-08",
                e -> RunSchedule.plan(
                                e.time("base"),
                                List.of(new RunSchedule.Hold("held", LocalChange.ofStops(e.at("hold")))),
                                List.of(new RunSchedule.Burn(
                                        "burned", LocalChange.ofStops(e.at("burn")), Optional.empty())),
                                2,
                                lag(e))
                        .totalSetSeconds());
    }

    @ParameterizedTest
    @MethodSource("examples")
    void comesOutAsItStandsThere(Example example) {
        ToDoubleFunction<Example> formula = FORMULAS.get(example.formula());
        assertThat(formula).as("code behind " + example.formula()).isNotNull();
        int point = example.answer().indexOf('.');
        int decimals = point < 0 ? 0 : example.answer().length() - point - 1;
        assertThat(formula.applyAsDouble(example))
                .isCloseTo(Double.parseDouble(example.answer()), within(0.5001 * Math.pow(10, -decimals)));
    }

    @Test
    void everyFormulaOnAPageHasAnExampleOrAReason() {
        Set<String> described = new HashSet<>();
        Set<String> shown = new HashSet<>();
        examples().forEach(e -> shown.add(e.formula()));
        for (Path page : pages()) {
            Matcher id = Pattern.compile("^- \\*\\*([A-Z]{3}-\\d\\d),", Pattern.MULTILINE)
                    .matcher(read(page));
            while (id.find()) {
                described.add(id.group(1));
            }
        }
        assertThat(described).containsAll(shown);
        described.removeAll(shown);
        // These act on pictures, charts and whole strips: the model's vectors and the laws of the packages test them.
        assertThat(described)
                .containsExactlyInAnyOrder(
                        "LOC-09", "LOC-10", "LOC-11", "DRK-03", "REA-01", "REA-02", "REA-04", "REA-06", "REA-08",
                        "REA-09", "REA-10", "COL-16", "COL-20", "COL-23", "COL-25", "COL-26");
    }

    static Stream<Example> examples() {
        return pages().stream()
                .flatMap(page -> ROW.matcher(read(page)).results().map(row -> {
                    Map<String, Double> given = new LinkedHashMap<>();
                    for (String part : row.group(2).split(", ")) {
                        Matcher one = GIVEN.matcher(part);
                        if (!one.matches()) {
                            throw new AssertionError("cannot read “" + part + "” in " + page);
                        }
                        given.merge(one.group(1), number(one.group(2)), (a, b) -> b);
                        if (one.group(1).equals("by")) {
                            given.remove("by");
                            given.put("by " + given.size(), number(one.group(2)));
                        }
                    }
                    return new Example(page.getFileName().toString(), row.group(1), given, row.group(3));
                }));
    }

    private static double number(String text) {
        String[] parts = text.split("/");
        return Double.parseDouble(parts[0]) / (parts.length > 1 ? Double.parseDouble(parts[1]) : 1);
    }

    private static List<Path> pages() {
        try (Stream<Path> files = Files.list(PAGES)) {
            return files.filter(f -> f.toString().endsWith(".md")).sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String read(Path page) {
        try {
            return Files.readString(page);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static LampLag lag(Example e) {
        return LampLag.ofSeconds(e.at("lag"));
    }

    private static List<ExposureTime> equalStops(Example e) {
        return TestSeries.equalStops(e.time("first"), e.stops("step"), e.count("patches"));
    }

    private static double patch(Example e, List<ExposureTime> series) {
        return series.get(e.count("patch") - 1).inSeconds();
    }

    private static List<ExposureTime> two(Example e) {
        return List.of(e.time("lower"), e.time("upper"));
    }

    private static ThinLens lens(Example e) {
        return new ThinLens(e.mm("focal"));
    }

    private static GradeFilter filter(double grade) {
        return GradeFilter.nearest(Grade.of(grade));
    }
}
