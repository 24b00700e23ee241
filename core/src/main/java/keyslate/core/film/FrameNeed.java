package keyslate.core.film;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * What a frame needs in a print beside another frame, as a proof shows both.
 *
 * <p>FLM-05: t_b = t_a · 2^more at one light; the paper range that b needs is contrast × that of a. The limit of a start is
 * √(limit² + chain²), the chain being what size, opening and light add.
 *
 * @param more stops more light than the other, −6 to 6
 * @param limit of that, 95 %, stops
 * @param contrast how far its tones spread over how far the other's do, 0.3 to 3
 */
public record FrameNeed(Stops more, Stops limit, double contrast) {
    /** Tones of a proof that tell, as net densities: lighter and darker ones hardly differ from paper and black. */
    public static final double LIGHTEST_NET = 0.10;
    /** See {@link #LIGHTEST_NET}. */
    public static final double DARKEST_NET = 1.40;

    public static final double MOST_STOPS = 6;
    public static final double LEAST_CONTRAST = 0.3;
    public static final double MOST_CONTRAST = 3;

    /** An eye that lays one frame beside another is as good as this; a default until the trial says otherwise. */
    public static final Stops BY_EYE = Stops.ofFraction(1, 3);

    private static final int RANKS = 49;
    private static final int LEAST_SHARED = 8;
    private static final double BEST_SCAN = 1.0 / 6;
    /** Beyond these it is the subjects that differ, and not the contrast of the negatives. */
    private static final double FLATTEST_BY_SCAN = 0.6;

    private static final double HARDEST_BY_SCAN = 1.6;
    private static final double LEAST_SPREAD = 1e-4;

    public FrameNeed {
        Check.within("need", more.inStops(), -MOST_STOPS, MOST_STOPS, "stops");
        Check.notNegative("limit", limit.inStops(), "stops");
        Check.within("contrast", contrast, LEAST_CONTRAST, MOST_CONTRAST, "");
    }

    /** The first time of the frame, from a time that was right for the other at the same light. */
    public ExposureTime firstTime(ExposureTime other) {
        return other.plus(more);
    }

    /** The limit of such a start when carrying it adds {@code chain}. */
    public Stops limitWith(Stops chain) {
        return Stops.of(Math.hypot(limit.inStops(), chain.inStops()));
    }

    /**
     * FLM-06: from the scan of a proof. The tones of both frames are put in order; those of one rank are a pair where both lie
     * between net {@value #LIGHTEST_NET} and {@value #DARKEST_NET}, so that what bared or blocked decides nothing. Over the log light
     * of the pairs a line b = contrast · a + c is laid; the need is read off it at the lightest pair, as highlights decide the time.
     *
     * @param ofFrame net densities of the frame in the scan, any order; {@code ofOther} of the other, as many or not
     * @param toLogLight log10 of the light that gives a net density on this paper at this light
     * @return none where the two have too few tones in common
     */
    public static Optional<FrameNeed> byScan(double[] ofFrame, double[] ofOther, DoubleUnaryOperator toLogLight) {
        List<double[]> pairs = pairs(ofFrame.clone(), ofOther.clone(), toLogLight);
        if (pairs.size() < LEAST_SHARED) {
            return Optional.empty();
        }
        double meanA = pairs.stream().mapToDouble(p -> p[0]).average().orElseThrow();
        double meanB = pairs.stream().mapToDouble(p -> p[1]).average().orElseThrow();
        double squares =
                pairs.stream().mapToDouble(p -> (p[0] - meanA) * (p[0] - meanA)).sum();
        double products =
                pairs.stream().mapToDouble(p -> (p[0] - meanA) * (p[1] - meanB)).sum();
        double slope = squares < LEAST_SPREAD ? 1 : products / squares;
        double contrast = Math.max(FLATTEST_BY_SCAN, Math.min(HARDEST_BY_SCAN, slope));
        double lightest = pairs.get(0)[0];
        double onLine = meanB + contrast * (lightest - meanA);
        double off = Math.sqrt(pairs.stream()
                        .mapToDouble(p -> meanB + contrast * (p[0] - meanA) - p[1])
                        .map(d -> d * d)
                        .sum()
                / pairs.size());
        double more = Stops.ofLogExposure(lightest - onLine).inStops();
        return Optional.of(new FrameNeed(
                Stops.of(Math.max(-MOST_STOPS, Math.min(MOST_STOPS, more))),
                Stops.of(Math.max(BEST_SCAN, 2 * Stops.ofLogExposure(off).inStops())),
                contrast));
    }

    /** Log light of the other and of the frame at each rank that tells in both, the lightest first. */
    private static List<double[]> pairs(double[] ofFrame, double[] ofOther, DoubleUnaryOperator toLogLight) {
        Arrays.sort(ofFrame);
        Arrays.sort(ofOther);
        List<double[]> pairs = new ArrayList<>();
        for (int rank = 1; rank <= RANKS; rank++) {
            double share = (double) rank / (RANKS + 1);
            double frame = ofFrame[(int) (share * ofFrame.length)];
            double other = ofOther[(int) (share * ofOther.length)];
            if (tells(frame) && tells(other)) {
                pairs.add(new double[] {toLogLight.applyAsDouble(other), toLogLight.applyAsDouble(frame)});
            }
        }
        return pairs;
    }

    private static boolean tells(double net) {
        return net >= LIGHTEST_NET && net <= DARKEST_NET;
    }
}
