package keyslate.core.trial.world;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import keyslate.core.calibration.BatchReadings;
import keyslate.core.calibration.ColumnReadings;
import keyslate.core.calibration.FilterReadings;
import keyslate.core.calibration.LagReadings;
import keyslate.core.calibration.OpeningReadings;
import keyslate.core.calibration.PupilReadings;
import keyslate.core.colour.ColourPaper;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.EquipmentTruth;
import keyslate.core.darkroom.EquipmentTruth.LensTruth;
import keyslate.core.darkroom.SimulatedMeter;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.size.ThinLens;
import keyslate.core.trial.printer.CarryOver;
import keyslate.core.trial.printer.MoveTable;

/**
 * An accepted print that is to be made again at another size: measured on the board, by the column's scale, with another opening, another lens, or on another enlarger, one
 * as likely as the other, with all that is unknown of them (model, section 14): lag 0 to 0.4 s, openings 0.03 stop each, pupils 0.8 to 1.2, columns 4 mm, lamps 2700 to 3400 K.
 */
public final class SimulatedMove implements MoveTable {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final GradeFilter GRADE = GradeFilter.G2;
    private static final List<GradeFilter> GRADES = List.of(
            GradeFilter.G1, GradeFilter.G1_5, GradeFilter.G2_5, GradeFilter.G3, GradeFilter.G3_5, GradeFilter.G4);
    private static final double LIGHTEST_MATCH = 0.04;
    private static final double DARKEST_MATCH = 0.6;
    private static final double FACTOR_SPREAD = 0.1;
    private static final double BATCH_SPREAD = 1.0 / 6;
    /** An eye on a strip of twelfths. */
    private static final double EYE_STOPS = 1.0 / 24;

    private static final int PER_STOP = 2;
    private static final double OPEN = 5.6;
    private static final double SMALLEST = 16;
    private static final double[] FOCAL_MM = {50, 80};
    private static final double MOST_LAG = 0.4;
    private static final double COOLEST = 2700;
    private static final double HOTTEST = 3400;
    private static final double LEAST_SIZE = 2.5;
    private static final double MOST_SIZE = 11;
    private static final double RULER_SPREAD = 0.002;
    private static final double SCALE_SPREAD_MM = 0.5;
    private static final double[] SIZES_READ = {3, 4.5, 6.5, 9, 12};
    private static final double[] BURSTS = {2, 2, 2, 10, 10, 10};

    /** What moves besides the size. */
    private enum Move {
        SIZE,
        HEIGHT,
        OPENING,
        LENS,
        ENLARGER,
        GRADE,
        BATCH
    }

    /** The mark is left where it is. */
    private static final Set<Move> STAYS = Set.of(Move.SIZE, Move.HEIGHT, Move.GRADE, Move.BATCH);

    /** An enlarger: how strong its lamp is and of which colour, how long dead, and where its scale begins. */
    private record Stand(double stops, double kelvin, double lag, double columnOffsetMm) {}

    private final Fate fate;
    private final Map<Side, Stand> stands = new LinkedHashMap<>();
    private final Map<Side, LensTruth> lenses = new LinkedHashMap<>();
    private final Map<Side, ApertureMark> marks = new LinkedHashMap<>();
    private final Map<Side, Magnification> sizes = new LinkedHashMap<>();
    private final boolean sameEnlarger;
    private final boolean sameLens;
    private final boolean byColumn;
    private final double focal;
    private final double focalAfter;
    private final double accepted;
    private final SimulatedMeter meter;
    private final Map<Side, Map<GradeFilter, Double>> sets = new LinkedHashMap<>();
    private final GradeFilter gradeAfter;
    private final boolean otherBatch;
    private final double batchStops;
    private Magnification stood;

    public SimulatedMove(long seed) {
        fate = new Fate(seed);
        Move move = Move.values()[(int) fate.even(0, Move.values().length)];
        sameEnlarger = move != Move.ENLARGER;
        sameLens = move != Move.LENS && (sameEnlarger || fate.even(0, 1) > 0.5);
        byColumn = move == Move.HEIGHT;
        Stand first = stand();
        stands.put(Side.BEFORE, first);
        stands.put(Side.AFTER, sameEnlarger ? first : stand());
        LensTruth lens = LensTruth.of(fate.seed());
        lenses.put(Side.BEFORE, lens);
        lenses.put(Side.AFTER, sameLens ? lens : LensTruth.of(fate.seed()));
        int which = (int) fate.even(0, FOCAL_MM.length);
        focal = FOCAL_MM[which];
        focalAfter = sameLens ? focal : FOCAL_MM[1 - which];
        List<ApertureMark> ring = ApertureMark.ring(OPEN, SMALLEST, PER_STOP);
        for (Side side : Side.values()) {
            boolean stays = side == Side.AFTER && STAYS.contains(move);
            marks.put(side, stays ? marks.get(Side.BEFORE) : ring.get((int) fate.even(0, ring.size())));
            sizes.put(side, Magnification.of(fate.even(LEAST_SIZE, MOST_SIZE)));
        }
        stood = sizes.get(Side.AFTER);
        accepted = Math.rint(10 * fate.even(8, 25)) / 10;
        meter = new SimulatedMeter(fate.seed());
        // Another enlarger has a filter set of its own; a grade is changed under the same one.
        gradeAfter = move == Move.GRADE ? GRADES.get((int) fate.even(0, GRADES.size())) : GRADE;
        double match = fate.even(LIGHTEST_MATCH, DARKEST_MATCH);
        Map<GradeFilter, Double> set = set(match);
        sets.put(Side.BEFORE, set);
        sets.put(Side.AFTER, sameEnlarger ? set : set(fate.even(LIGHTEST_MATCH, DARKEST_MATCH)));
        otherBatch = move == Move.BATCH;
        batchStops = otherBatch ? fate.bell(BATCH_SPREAD) : 0;
    }

    /** log10 of the seconds through each filter of a set for whites that just hold, as its own tone is matched and each is off. */
    private Map<GradeFilter, Double> set(double match) {
        Map<GradeFilter, Double> set = new EnumMap<>(GradeFilter.class);
        set.put(GradeFilter.NONE, PAPER.logTimeThrough(VariableContrastPaper.HIGHLIGHT_NET, GradeFilter.NONE));
        for (GradeFilter filter : GradeFilter.set()) {
            double nominal = PAPER.logTimeThrough(VariableContrastPaper.HIGHLIGHT_NET, filter);
            double ratio = PAPER.lightThrough(filter).ratio();
            // Matched at a tone of its own: against grade 2 the others take other times for whites than the model's.
            double moved =
                    apart(match, ratio) - apart(match, PAPER.lightThrough(GRADE).ratio());
            set.put(filter, nominal + moved + Stops.of(fate.bell(FACTOR_SPREAD)).toLogExposure());
        }
        return set;
    }

    private static double apart(double match, double ratio) {
        return PAPER.logBlueFor(VariableContrastPaper.SPEED_NET, ratio) - PAPER.logBlueFor(match, ratio);
    }

    @Override
    public GradeFilter filter(Side side) {
        return side == Side.BEFORE ? GRADE : gradeAfter;
    }

    @Override
    public boolean otherBatch() {
        return otherBatch;
    }

    @Override
    public FilterReadings.Light strip(Side side, GradeFilter filter) {
        double white =
                sets.get(side).get(filter) + Stops.of(fate.bell(EYE_STOPS)).toLogExposure();
        double black = sets.get(side).get(filter)
                + PAPER.rangeThrough(filter) / 100
                + Stops.of(fate.bell(EYE_STOPS)).toLogExposure();
        return FilterReadings.byEye(
                ExposureTime.ofSeconds(10 * Math.pow(10, white)),
                ExposureTime.ofSeconds(10 * Math.pow(10, black)),
                FilterReadings.USUAL_UNCERTAINTY);
    }

    @Override
    public BatchReadings.Pair greys() {
        ExposureTime ten = ExposureTime.ofSeconds(10);
        return new BatchReadings.Pair(
                ten.plus(Stops.of(fate.bell(EYE_STOPS))), ten.plus(Stops.of(batchStops + fate.bell(EYE_STOPS))));
    }

    /** Stops more light that the filter and the box that stand after the move need, against those before it. */
    private double filterAndBatchStops() {
        double log =
                sets.get(Side.AFTER).get(gradeAfter) - sets.get(Side.BEFORE).get(GRADE);
        return Stops.ofLogExposure(log).inStops() + batchStops;
    }

    private Stand stand() {
        return new Stand(
                fate.bell(0.5),
                fate.even(COOLEST, HOTTEST),
                fate.even(0, MOST_LAG),
                EquipmentTruth.columnOffsetMm(fate.seed()));
    }

    @Override
    public ExposureTime acceptedSet() {
        return ExposureTime.ofSeconds(accepted);
    }

    @Override
    public boolean sameEnlarger() {
        return sameEnlarger;
    }

    @Override
    public boolean sameLens() {
        return sameLens;
    }

    @Override
    public ApertureMark mark(Side side) {
        return marks.get(side);
    }

    @Override
    public Magnification size(Side side) {
        return sizes.get(side);
    }

    @Override
    public boolean byColumn() {
        return byColumn;
    }

    @Override
    public double focalMm(Side side) {
        return side == Side.BEFORE ? focal : focalAfter;
    }

    /** log2 of the light at the board as it stands. */
    private double light(Side side, Magnification size) {
        return stands.get(side).stops() + lenses.get(side).stops(marks.get(side), size);
    }

    private double lux(Side side, double stops) {
        return meter.shows(Math.pow(2, 10 + stops));
    }

    @Override
    public double lux(Side side) {
        return lux(side, light(side, side == Side.BEFORE ? sizes.get(side) : stood));
    }

    @Override
    public LagReadings lag(Side side) {
        List<LagReadings.Burst> bursts = new ArrayList<>();
        for (double set : BURSTS) {
            bursts.add(new LagReadings.Burst(
                    set, meter.shows(100 * (set - stands.get(side).lag()))));
        }
        return new LagReadings(bursts);
    }

    @Override
    public OpeningReadings openings(Side side) {
        Map<ApertureMark, List<Double>> read = new LinkedHashMap<>();
        for (ApertureMark mark : ApertureMark.ring(OPEN, SMALLEST, PER_STOP)) {
            double stops = lenses.get(side).stops(mark, Magnification.of(6));
            read.put(mark, List.of(lux(side, stops), lux(side, stops)));
        }
        return new OpeningReadings(read);
    }

    @Override
    public PupilReadings pupil(Side side) {
        List<PupilReadings.Height> heights = new ArrayList<>();
        for (double size : SIZES_READ) {
            Magnification m = Magnification.of(size);
            heights.add(new PupilReadings.Height(
                    Magnification.of(size * (1 + fate.bell(RULER_SPREAD))), lux(side, light(side, m))));
        }
        return new PupilReadings(heights);
    }

    @Override
    public ColumnReadings column() {
        List<ColumnReadings.Place> places = new ArrayList<>();
        for (double size : SIZES_READ) {
            double reading = filmToPaper(Magnification.of(size))
                    + stands.get(Side.AFTER).columnOffsetMm()
                    + fate.bell(SCALE_SPREAD_MM);
            places.add(new ColumnReadings.Place(reading, Magnification.of(size * (1 + fate.bell(RULER_SPREAD)))));
        }
        return new ColumnReadings(places);
    }

    private double filmToPaper(Magnification m) {
        return ThinLens.ofMm(focalAfter).filmToPaper(m, Length.ofMm(0)).inMm();
    }

    @Override
    public void standsAt(double columnReading) {
        double filmToPaper = columnReading - stands.get(Side.AFTER).columnOffsetMm();
        stood = ThinLens.ofMm(focalAfter)
                .magnificationAt(Length.ofMm(Math.max(4 * focalAfter, filmToPaper)), Length.ofMm(0));
    }

    /** Stops more light by the meter that the paper needs after the move, as its lamp is of another colour. */
    private double lampStops() {
        return needs(stands.get(Side.AFTER).kelvin())
                - needs(stands.get(Side.BEFORE).kelvin());
    }

    private static double needs(double kelvin) {
        FilterLight light = PAPER.lightAt(GRADE.grade());
        double blue = light.blueLog() + ColourPaper.lampShift(kelvin).blue();
        double logTime = PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, light.greenLog() - blue) - blue;
        return Stops.ofLogExposure(logTime).inStops();
    }

    /** How far the first sheet is off, and what was stated. */
    public PrintError errorOf(CarryOver.Sheet sheet) {
        double before = Math.log(accepted - stands.get(Side.BEFORE).lag()) / Math.log(2)
                + light(Side.BEFORE, sizes.get(Side.BEFORE));
        double after = Math.log(Math.max(
                                0.01,
                                sheet.setSeconds() - stands.get(Side.AFTER).lag()))
                        / Math.log(2)
                + light(Side.AFTER, stood)
                - lampStops()
                - filterAndBatchStops();
        return new PrintError(
                Math.abs(after - before),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(sheet.limit().inStops()));
    }
}
