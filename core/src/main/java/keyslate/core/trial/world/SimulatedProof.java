package keyslate.core.trial.world;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.curve.FilmCurve;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.film.FrameNeed;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.ProofTable;

/**
 * Two frames of a film on a standard proof, and the paper they will be printed on. The one was printed and is right; what the other needs is
 * seen on the proof alone, with the errors of an eye or of a scanner.
 */
public final class SimulatedProof implements ProofTable {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final GradeFilter GRADE = GradeFilter.G2;
    private static final int TONES = 400;
    /** Light of the brightest tone that keeps detail, 1 = a white diffuser. */
    private static final double BRIGHTEST = 0.8;
    /** From the darkest to the brightest tone of a scene, log10. */
    private static final double LEAST_RANGE = 1.6;

    private static final double MOST_RANGE = 2.2;
    /** How far the middle of a scene lies off the middle of its range, as a power. */
    private static final double SKEW = 0.15;

    private static final double MOST_STOPS_OFF = 2;
    private static final double SCAN_NOISE = 0.01;
    private static final double LAG_SECONDS = 0.1;

    private final double[] printed;
    private final double[] other;
    private final FilterLight light;
    private final double proofLog;
    private final Fate noise;
    private final Eye eye;

    public SimulatedProof(long seed) {
        Fate fate = new Fate(seed);
        PaperTruth truth = PaperTruth.ofBatch(fate.seed(), LAG_SECONDS);
        FilterLight nominal = PAPER.lightAt(GRADE.grade());
        double speed = truth.speedOffset().toLogExposure();
        light = new FilterLight(nominal.blueLog() + speed, nominal.greenLog() + truth.ratioOffset() + speed);
        printed = negative(fate);
        other = negative(fate);
        // The shortest time at which the film edge is black.
        proofLog = PAPER.logBlueFor(VariableContrastPaper.SHADOW_NET, light.ratio())
                + FilmCurve.BASE_AND_FOG
                - light.blueLog();
        noise = new Fate(fate.seed());
        eye = new Eye(fate.seed());
    }

    /** Densities of a scene, darkest tone first. */
    private static double[] negative(Fate fate) {
        double range = fate.even(LEAST_RANGE, MOST_RANGE);
        double skew = Math.pow(10, fate.bell(SKEW));
        double stopsOff = fate.even(-MOST_STOPS_OFF, MOST_STOPS_OFF);
        return IntStream.range(0, TONES)
                .mapToDouble(i -> Math.pow((i + 0.5) / TONES, skew))
                .map(place -> FilmCurve.density(BRIGHTEST * Math.pow(10, range * (place - 1)), stopsOff))
                .toArray();
    }

    private double[] onProof(double[] negative) {
        return Arrays.stream(negative)
                .map(d -> PAPER.netDensityAt(proofLog - d + light.blueLog(), light.ratio()))
                .toArray();
    }

    /** Stops more light for the highlight of the other frame than for that of the printed one. */
    private double truth() {
        return Stops.ofLogExposure(other[TONES - 1] - printed[TONES - 1]).inStops();
    }

    @Override
    public Optional<FrameNeed> scanned() {
        double[] ofOther = onProof(other);
        double[] ofPrinted = onProof(printed);
        for (int i = 0; i < TONES; i++) {
            ofOther[i] += noise.bell(SCAN_NOISE);
            ofPrinted[i] += noise.bell(SCAN_NOISE);
        }
        return FrameNeed.byScan(
                ofOther,
                ofPrinted,
                net -> PAPER.logTimeFor(
                        Math.max(0.001, Math.min(VariableContrastPaper.NET_MAXIMUM - 0.001, net)), GRADE.grade()));
    }

    @Override
    public double lighterStops() {
        return -eye.tooDark(-truth());
    }

    /** How far a first time by this need is off. */
    public PrintError errorOf(Stops need) {
        return new PrintError(Math.abs(need.inStops() - truth()), OptionalDouble.empty(), OptionalDouble.empty());
    }
}
