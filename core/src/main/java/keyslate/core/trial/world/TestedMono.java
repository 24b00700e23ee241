package keyslate.core.trial.world;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.PracticePhone;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.picture.TakenPicture;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.MonoByTests;
import keyslate.core.trial.printer.MonoDarkroom;
import keyslate.core.trial.printer.MonoRecipe;
import keyslate.core.trial.printer.PictureTable;
import keyslate.core.trial.printer.StripOnPaper;
import keyslate.core.trial.printer.TestTable;

/**
 * A darkroom in monochrome that keeps to nobody's constants: a lag of 0 to 0.4 s, openings 0.03 stop off each, a filter set whose factors are 0.1 stop off each and
 * whose ranges 5 ISO units together and 2 each, its speeds matched at a tone between net 0.04 and 0.6. It answers with what is seen on paper.
 */
public final class TestedMono implements TestTable, PictureTable {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final double LONGEST_LAG = 0.4;
    private static final double OPENING_STOPS = 0.03;
    private static final double FACTOR_STOPS = 0.1;
    private static final double COMMON_RANGE = 5;
    private static final double EACH_RANGE = 2;
    private static final double LIGHTEST_MATCH = 0.04;
    private static final double DARKEST_MATCH = 0.6;
    private static final double HARDEST = 39;
    private static final double SOFTEST = 173;
    private static final double FIRST_GUESS_SECONDS = 10;
    private static final double GUESS_SPREAD_STOPS = 0.6;
    /** What a start from a proof is off by: the median error of proof-start is 0.14 stop. */
    private static final double PROOF_STOPS = 0.2;

    private static final double PROOF_GRADES = 0.5;
    private static final double SHADOW_DENSITY = 0.3;
    private static final double SOFTEST_GRADE = 0.25;
    private static final double HARDEST_GRADE = 4.25;
    private static final double LEAST_SECONDS = 0.01;
    private static final double DIAL_SCALE = 0.1;
    private static final double DIAL_OFFSET = 3;
    /** A lamp of 2700 to 3400 K against the one the table was made under, log10 green over blue. */
    private static final double LAMP_RATIO = 0.04;

    private static final double YELLOW_LEAK = 0.05;
    private static final double GREEN_LEAK = 0.03;
    private static final double FOREIGN_TOE = 0.25;
    private static final double FOREIGN_DIAL_OFFSET = 8;
    /** The lamp loses 5 % an hour, a piece takes ten minutes. */
    private static final double FOREIGN_DRIFT_STOPS = 0.012;

    private static final int PATCH_PIXELS = 24;
    private static final int STRIP_PIXELS = 90;
    private static final int PHONE_PIXELS = 800;

    private final Map<GradeFilter, FilterLight> filters = new EnumMap<>(GradeFilter.class);
    private final Map<Double, Double> openings = new HashMap<>();
    private final Fate openingFate;
    private final double lag;
    private final double toe;
    private final double drift;
    private int pieces;
    private List<Given> lastTest = List.of();
    private double highlight;
    private double lightLog;
    private final Eye eye;

    /** How its light is made, and how far it is from the advice's own ideas of paper and lamp. */
    public record Kind(boolean dials, boolean foreign) {
        /** The filters of a set. */
        public static final Kind FILTERS = new Kind(false, false);
    }

    public TestedMono(long seed) {
        this(seed, Kind.FILTERS);
    }

    /** A darkroom of a kind. */
    public TestedMono(long seed, Kind kind) {
        Fate fate = new Fate(seed);
        lag = fate.even(0, LONGEST_LAG);
        double match = fate.even(LIGHTEST_MATCH, DARKEST_MATCH);
        double common = fate.bell(COMMON_RANGE);
        // A foreign paper's toe is a quarter longer or shorter: how whites and middles of two filters lie is another.
        Fate other = new Fate(seed + 1);
        toe = kind.foreign() ? Math.max(0.3, 1 + other.bell(FOREIGN_TOE)) : 1;
        drift = kind.foreign() ? FOREIGN_DRIFT_STOPS : 0;
        if (kind.dials()) {
            head(other, kind.foreign() ? FOREIGN_DIAL_OFFSET : DIAL_OFFSET);
        } else {
            for (GradeFilter filter : GradeFilter.set()) {
                filters.put(filter, light(filter, match, common + fate.bell(EACH_RANGE), fate.bell(FACTOR_STOPS)));
            }
        }
        next(fate);
        openingFate = new Fate(fate.seed());
        openings.put(0.0, 0.0);
        eye = new Eye(fate.seed());
    }

    private void next(Fate fate) {
        highlight = SHADOW_DENSITY + GradeScale.isoRangeOf(Grade.of(fate.even(SOFTEST_GRADE, HARDEST_GRADE))) / 100;
        double guess = Math.log10(FIRST_GUESS_SECONDS)
                + Stops.of(fate.bell(GUESS_SPREAD_STOPS)).toLogExposure();
        lightLog = needed(highlight, VariableContrastPaper.HIGHLIGHT_NET, GradeFilter.G2) - guess;
    }

    /**
     * Puts another negative into the carrier of the same darkroom, one that a proof shows beside a print that was kept.
     *
     * @return the filter that the proof speaks for; its time is what the first guess stands for
     */
    public GradeFilter sister(long seed) {
        Fate fate = new Fate(seed);
        next(fate);
        double wanted = GradeScale.gradeOf(100 * (highlight - SHADOW_DENSITY)).onScale();
        GradeFilter start = GradeFilter.nearest(Grade.of(Math.max(-1, Math.min(5, wanted + fate.bell(PROOF_GRADES)))));
        double guess = Math.log10(FIRST_GUESS_SECONDS)
                + Stops.of(fate.bell(PROOF_STOPS)).toLogExposure();
        lightLog = needed(highlight, VariableContrastPaper.HIGHLIGHT_NET, start) - guess;
        return start;
    }

    /** A filter as this set has it: matched in speed at another tone than the model's, of another range, off in its factor. */
    private FilterLight light(GradeFilter filter, double match, double rangeOff, double stopsOff) {
        double range = Math.max(HARDEST, Math.min(SOFTEST, GradeScale.isoRangeOf(filter.grade()) + rangeOff));
        double ratio = PAPER.ratioForRange(range);
        double speed = PAPER.logTimeFor(DARKEST_MATCH, filter.grade());
        double white = PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, ratio);
        double matched = white + toe * (PAPER.logBlueFor(match, ratio) - white);
        double blue = matched - speed + Stops.of(stopsOff).toLogExposure();
        return new FilterLight(blue, blue + ratio);
    }

    /** The dials of a head that stand for each grade as a generic table says, and truly somewhere else; its lamp has a colour of its own. */
    private void head(Fate fate, double offset) {
        double yellowScale = 1 + fate.bell(DIAL_SCALE);
        double magentaScale = 1 + fate.bell(DIAL_SCALE);
        double yellowOffset = fate.bell(offset);
        double magentaOffset = fate.bell(offset);
        double lamp = fate.bell(LAMP_RATIO);
        HeadTable.generic(PAPER, HeadTable.Way.SINGLE).settings().forEach((filter, s) -> {
            double yellow = s.yellow() == 0 ? 0 : Math.max(0, s.yellow() * yellowScale + yellowOffset);
            double magenta = s.magenta() == 0 ? 0 : Math.max(0, s.magenta() * magentaScale + magentaOffset);
            FilterLight white = VariableContrastPaper.WHITE_LIGHT;
            filters.put(
                    filter,
                    new FilterLight(
                            white.blueLog() - yellow / 100 - YELLOW_LEAK * magenta / 100,
                            white.greenLog() + lamp - magenta / 100 - GREEN_LEAK * yellow / 100));
        });
    }

    /** log10 of the seconds with which a tone of the negative prints at a net density. */
    private double needed(double tone, double net, GradeFilter filter) {
        FilterLight light = filters.get(filter);
        return PAPER.logBlueFor(net, light.ratio()) + tone - light.blueLog();
    }

    private double given(Given patch) {
        double off = openings.computeIfAbsent(patch.openings(), o -> openingFate.bell(OPENING_STOPS));
        double lamp = Math.max(LEAST_SECONDS, patch.setSeconds() - patch.lampOns() * lag);
        return Math.log10(lamp * patch.share())
                - Stops.of(patch.openings() + off + drift * pieces).toLogExposure();
    }

    private double place(double tone, double net, GradeFilter filter, List<Given> test) {
        if (!test.equals(lastTest)) {
            lastTest = test;
            pieces++;
        }
        return eye.place(test.stream().map(this::given).toList(), needed(tone, net, filter) - lightLog);
    }

    @Override
    public double whitesOfBoth(List<List<Part>> test) {
        return placeOfBoth(highlight, VariableContrastPaper.HIGHLIGHT_NET, test);
    }

    @Override
    public double blacksOfBoth(List<List<Part>> test) {
        return placeOfBoth(SHADOW_DENSITY, VariableContrastPaper.SHADOW_NET, test);
    }

    private double placeOfBoth(double tone, double net, List<List<Part>> test) {
        List<Given> first = test.stream().map(p -> p.get(0).given()).toList();
        if (!first.equals(lastTest)) {
            lastTest = first;
            pieces++;
        }
        List<Double> over = test.stream()
                .map(parts -> {
                    FilterLight light = together(parts);
                    return light.blueLog() + lightLog - tone - PAPER.logBlueFor(net, light.ratio());
                })
                .toList();
        return eye.place(over, 0);
    }

    /** All the light of several exposures. */
    private FilterLight together(List<Part> parts) {
        double blue = 0;
        double green = 0;
        for (Part part : parts) {
            double seconds = Math.pow(10, given(part.given()));
            FilterLight light = filters.get(part.filter());
            blue += seconds * Math.pow(10, light.blueLog());
            green += seconds * Math.pow(10, light.greenLog());
        }
        return new FilterLight(Math.log10(blue), Math.log10(green));
    }

    @Override
    public double whites(GradeFilter filter, List<Given> test) {
        return place(highlight, VariableContrastPaper.HIGHLIGHT_NET, filter, test);
    }

    @Override
    public double blacks(GradeFilter filter, List<Given> test) {
        return place(SHADOW_DENSITY, VariableContrastPaper.SHADOW_NET, filter, test);
    }

    @Override
    public double tooDark(GradeFilter filter, Given sheet) {
        return eye.tooDark(stopsOver(filter, sheet));
    }

    @Override
    public TakenPicture picture(GradeFilter filter, List<Given> test) {
        FilterLight light = filters.get(filter);
        int wide = test.size() * PATCH_PIXELS;
        byte[] codes = new byte[wide * STRIP_PIXELS];
        for (int i = 0; i < codes.length; i++) {
            double tone = i / wide < STRIP_PIXELS / 2 ? highlight : SHADOW_DENSITY;
            double log = given(test.get(i % wide / PATCH_PIXELS)) + lightLog - tone + light.blueLog();
            double density = VariableContrastPaper.PAPER_WHITE + PAPER.netDensityAt(log, light.ratio());
            codes[i] = (byte) ToneEncoding.encode(Math.pow(10, -density));
        }
        Look look = Look.grey(wide, STRIP_PIXELS, codes);
        PracticePhone.Sheet sheet = new PracticePhone.Sheet(look, Set.of());
        return new TakenPicture(linear(PracticePhone.picture(List.of(sheet), 1, openingFate.seed(), PHONE_PIXELS)));
    }

    private static ColourRaster linear(Look look) {
        Raster[] planes = new Raster[3];
        for (int c = 0; c < planes.length; c++) {
            float[] samples = new float[look.width() * look.height()];
            for (int i = 0; i < samples.length; i++) {
                samples[i] = (float) ToneEncoding.decode(look.samples()[3 * i + c] & 0xff);
            }
            planes[c] = Raster.over(look.width(), look.height(), samples);
        }
        return new ColourRaster(planes[0], planes[1], planes[2]);
    }

    /** The same darkroom for a printer who makes equal bursts and knows no other test. */
    public MonoDarkroom forStrips() {
        return new MonoDarkroom() {
            @Override
            public double whites(GradeFilter filter, StripOnPaper strip) {
                return TestedMono.this.whites(filter, bursts(strip));
            }

            @Override
            public double blacks(GradeFilter filter, StripOnPaper strip) {
                return TestedMono.this.blacks(filter, bursts(strip));
            }

            @Override
            public double area(GradeFilter filter, StripOnPaper strip) {
                throw new UnsupportedOperationException("no area is looked at here");
            }
        };
    }

    private static List<Given> bursts(StripOnPaper strip) {
        List<Given> given = new ArrayList<>();
        double sum = 0;
        for (ExposureTime burst : strip.bursts()) {
            sum += burst.inSeconds();
            given.add(new Given(sum, given.size() + 1, strip.closed().inStops(), 1));
        }
        return given;
    }

    /** How far a print of one exposure through the reference opening is from the best. */
    public PrintError errorOf(MonoRecipe recipe) {
        return errorOf(new MonoByTests.Print(
                GradeFilter.nearest(recipe.grade()), recipe.setSeconds(), 1, 0, Optional.empty()));
    }

    private double stopsOver(GradeFilter filter, Given sheet) {
        double right = needed(highlight, VariableContrastPaper.HIGHLIGHT_NET, filter) - lightLog;
        return Stops.ofLogExposure(given(sheet) - right).inStops();
    }

    /** Of two parts: all their light together, by what it makes of whites and range. */
    private PrintError ofSplit(MonoByTests.Print soft, MonoByTests.Print hard) {
        FilterLight light = together(List.of(part(soft), part(hard)));
        double ratio = light.ratio();
        double whites = PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, ratio);
        double over = light.blueLog() + lightLog - highlight - whites;
        double range = PAPER.isoRange(ratio);
        double grades = GradeScale.gradeOf(clamped(range)).onScale()
                - GradeScale.gradeOf(clamped(100 * (highlight - SHADOW_DENSITY)))
                        .onScale();
        return new PrintError(
                Math.abs(Stops.ofLogExposure(over).inStops()),
                OptionalDouble.of(Math.abs(grades)),
                OptionalDouble.empty());
    }

    private static Part part(MonoByTests.Print print) {
        return new Part(print.filter(), new Given(print.setSeconds(), print.lampOns(), print.openings(), 1));
    }

    /** Grades by which a filter misses what both tones need. */
    private double gradesOff(GradeFilter filter) {
        double range = PAPER.isoRange(filters.get(filter).ratio());
        double wanted = 100 * (highlight - SHADOW_DENSITY);
        return Math.abs(GradeScale.gradeOf(clamped(range)).onScale()
                - GradeScale.gradeOf(clamped(wanted)).onScale());
    }

    private static double clamped(double range) {
        return Math.max(40, Math.min(170, range));
    }

    /** How far a print is from the best: stops by which its whites are off; grades beyond what the nearest filter must miss. */
    public PrintError errorOf(MonoByTests.Print print) {
        if (print.hard().isPresent()) {
            return ofSplit(print, print.hard().get());
        }
        double least =
                filters.keySet().stream().mapToDouble(this::gradesOff).min().orElseThrow();
        double stops = stopsOver(print.filter(), new Given(print.setSeconds(), print.lampOns(), print.openings(), 1));
        return new PrintError(
                Math.abs(stops), OptionalDouble.of(gradesOff(print.filter()) - least), OptionalDouble.empty());
    }
}
