package keyslate.core.film;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterShift;
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
 * @param cast what its pack has more than the other's, points; none on a paper without filters of colour and where it is not known
 */
public record FrameNeed(Stops more, Stops limit, double contrast, FilterShift cast) {
    /** Tones of a proof that tell, as net densities: lighter and darker ones hardly differ from paper and black. */
    public static final double LIGHTEST_NET = 0.04;
    /** See {@link #LIGHTEST_NET}. */
    public static final double DARKEST_NET = 1.40;

    public static final double MOST_STOPS = 6;
    public static final double LEAST_CONTRAST = 0.3;
    public static final double MOST_CONTRAST = 3;

    /** Error of one look at the density of a picture, stops, one standard deviation (model, the trial's eye). */
    private static final double LOOK_STOPS = 0.25;

    private static final int RANKS = 49;
    private static final int LEAST_SEEN = 8;
    private static final double BEST_SCAN = 1.0 / 6;
    /** Beyond these it is the subjects that differ, and not the contrast of the negatives. */
    private static final double FLATTEST_BY_SCAN = 0.6;

    private static final double HARDEST_BY_SCAN = 1.6;
    private static final double LEAST_SPREAD = 1e-4;
    /** Share of the tones seen, the lightest of them, that the line to the highlight is laid over. */
    private static final int LINE_SHARE = 3;

    private static final int LEAST_ON_LINE = 3;
    /** With more of its tones bare than this a frame's highlight is a guess. */
    private static final double MOST_HIDDEN = 0.6;

    private static final double RED_WEIGHT = 0.30;
    private static final double GREEN_WEIGHT = 0.60;
    private static final double BLUE_WEIGHT = 0.10;
    private static final double POINTS = 100;
    /** Stops of limit when all would be hidden: fitted to the trial's errors. */
    private static final double HIDDEN_STOPS = 0.9;

    public FrameNeed(Stops more, Stops limit, double contrast) {
        this(more, limit, contrast, FilterShift.NONE);
    }

    public FrameNeed {
        Check.within("need", more.inStops(), -MOST_STOPS, MOST_STOPS, "stops");
        Check.notNegative("limit", limit.inStops(), "stops");
        Check.within("contrast", contrast, LEAST_CONTRAST, MOST_CONTRAST, "");
    }

    /** Whether a need by eye rests on one look alone, so that a second one makes it surer. */
    public boolean isOfOneLook() {
        return limit.inStops() >= 2 * LOOK_STOPS - 1e-9;
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
     * By eye: the mean of one look or more, the second with the proof upside down so that the picture does not tell. The limit is
     * two standard deviations of such a mean: ½ stop after one look, 0.35 after two.
     *
     * @param looks stops by which the frame is lighter, at least one
     */
    public static FrameNeed byEye(double contrast, double... looks) {
        double mean = Arrays.stream(looks).average().orElseThrow(() -> Check.infeasible("need", "look at least once"));
        return new FrameNeed(Stops.of(mean), Stops.of(2 * LOOK_STOPS / Math.sqrt(looks.length)), contrast);
    }

    /**
     * FLM-06: from the scan of a proof. The tones of each frame are put in order, and those between net {@value #LIGHTEST_NET} and {@value #DARKEST_NET}
     * turned into log light. Over the lightest third of them a straight line leads to the frame's lightest tone, which a proof at full black of the film
     * edge often leaves bare; the need is the difference of the two. Contrast is the slope of the one's tones over the other's of the same rank where
     * both tell. The limit grows with the share of tones that is bare, √((1/6)² + (0.9 · share)²).
     *
     * <p>The model takes tones from net 0.10 and their mean offset. Frames of different subjects have their tones elsewhere: in the trial that is within 1/3
     * stop of what the highlight needs in 58 of 100, by the line from 0.10 on in 90, and from 0.04 on in 97.
     *
     * @param ofFrame net densities of the frame in the scan, any order; {@code ofOther} of the other, as many or not
     * @param toLogLight log10 of the light that gives a net density on this paper at this light
     * @return none where one of them is nearly all bare or all black
     */
    public static Optional<FrameNeed> byScan(double[] ofFrame, double[] ofOther, DoubleUnaryOperator toLogLight) {
        List<Tone> frame = tones(ofFrame, toLogLight);
        List<Tone> other = tones(ofOther, toLogLight);
        if (frame.size() < LEAST_SEEN || other.size() < LEAST_SEEN) {
            return Optional.empty();
        }
        double hidden = Math.max(frame.get(0).rank(), other.get(0).rank());
        if (hidden > MOST_HIDDEN) {
            return Optional.empty();
        }
        double more = Stops.ofLogExposure(highlight(other) - highlight(frame)).inStops();
        return Optional.of(new FrameNeed(
                Stops.of(Math.max(-MOST_STOPS, Math.min(MOST_STOPS, more))),
                Stops.of(Math.hypot(BEST_SCAN, HIDDEN_STOPS * hidden)),
                contrast(frame, other)));
    }

    /**
     * FLM-08: a colour frame by its layers. More = 0.30·n_R + 0.60·n_G + 0.10·n_B of FLM-06, as the eye weighs them (COL-04). The pack follows the mean offsets
     * d of the tones of the same rank that are seen in all three layers of both: magenta 100·(d_R − d_G) and yellow 100·(d_R − d_B) more. A brighter
     * subject moves all layers alike and cancels; a scan cannot tell the colour of a light from that of a thing. Limit: the largest of the three.
     *
     * @param ofFrame net densities of each layer's dye in the frame, red, green, blue; {@code ofOther} of the other
     */
    public static Optional<FrameNeed> byColourScan(
            double[][] ofFrame, double[][] ofOther, DoubleUnaryOperator toLogLight) {
        List<FrameNeed> needs = new ArrayList<>();
        List<Map<Double, Double>> frame = new ArrayList<>();
        List<Map<Double, Double>> other = new ArrayList<>();
        for (int layer = 0; layer < ofFrame.length; layer++) {
            byScan(ofFrame[layer], ofOther[layer], toLogLight).ifPresent(needs::add);
            frame.add(byRank(tones(ofFrame[layer], toLogLight)));
            other.add(byRank(tones(ofOther[layer], toLogLight)));
        }
        List<Double> seen = frame.get(0).keySet().stream()
                .filter(rank -> frame.stream().allMatch(f -> f.containsKey(rank))
                        && other.stream().allMatch(o -> o.containsKey(rank)))
                .toList();
        if (needs.size() < ofFrame.length || seen.size() < LEAST_SEEN) {
            return Optional.empty();
        }
        double[] offset = new double[ofFrame.length];
        for (int layer = 0; layer < offset.length; layer++) {
            Map<Double, Double> here = frame.get(layer);
            Map<Double, Double> there = other.get(layer);
            offset[layer] = seen.stream()
                    .mapToDouble(rank -> there.get(rank) - here.get(rank))
                    .average()
                    .orElseThrow();
        }
        return Optional.of(ofLayers(needs, offset));
    }

    static FrameNeed ofLayers(List<FrameNeed> needs, double[] offset) {
        double more = RED_WEIGHT * needs.get(0).more().inStops()
                + GREEN_WEIGHT * needs.get(1).more().inStops()
                + BLUE_WEIGHT * needs.get(2).more().inStops();
        double limit =
                needs.stream().mapToDouble(n -> n.limit().inStops()).max().orElseThrow();
        return new FrameNeed(
                Stops.of(more),
                Stops.of(limit),
                needs.get(1).contrast(),
                FilterShift.of(0, POINTS * (offset[0] - offset[1]), POINTS * (offset[0] - offset[2])));
    }

    private static Map<Double, Double> byRank(List<Tone> tones) {
        return tones.stream().collect(Collectors.toMap(Tone::rank, Tone::logLight));
    }

    /** A tone that tells: its place among all tones of its frame, 0 the lightest to 1, and the log light that it got. */
    private record Tone(double rank, double logLight) {}

    private static List<Tone> tones(double[] net, DoubleUnaryOperator toLogLight) {
        double[] sorted = net.clone();
        Arrays.sort(sorted);
        List<Tone> tones = new ArrayList<>();
        for (int rank = 1; rank <= RANKS; rank++) {
            double share = (double) rank / (RANKS + 1);
            double density = sorted[(int) (share * sorted.length)];
            if (density >= LIGHTEST_NET && density <= DARKEST_NET) {
                tones.add(new Tone(share, toLogLight.applyAsDouble(density)));
            }
        }
        return tones;
    }

    /** Log light of the lightest tone, by the line over the lightest third of what is seen. */
    private static double highlight(List<Tone> tones) {
        List<Tone> line = tones.subList(0, Math.max(LEAST_ON_LINE, tones.size() / LINE_SHARE));
        double rank = line.stream().mapToDouble(Tone::rank).average().orElseThrow();
        double light = line.stream().mapToDouble(Tone::logLight).average().orElseThrow();
        double squares = line.stream()
                .mapToDouble(t -> (t.rank() - rank) * (t.rank() - rank))
                .sum();
        double products = line.stream()
                .mapToDouble(t -> (t.rank() - rank) * (t.logLight() - light))
                .sum();
        return light - rank * products / squares;
    }

    private static double contrast(List<Tone> frame, List<Tone> other) {
        Map<Double, Double> byRank = byRank(other);
        List<double[]> pairs = frame.stream()
                .filter(t -> byRank.containsKey(t.rank()))
                .map(t -> new double[] {byRank.get(t.rank()), t.logLight()})
                .toList();
        double meanA = pairs.stream().mapToDouble(p -> p[0]).average().orElse(0);
        double meanB = pairs.stream().mapToDouble(p -> p[1]).average().orElse(0);
        double squares =
                pairs.stream().mapToDouble(p -> (p[0] - meanA) * (p[0] - meanA)).sum();
        double products =
                pairs.stream().mapToDouble(p -> (p[0] - meanA) * (p[1] - meanB)).sum();
        double slope = pairs.size() < LEAST_SEEN || squares < LEAST_SPREAD ? 1 : products / squares;
        return Math.max(FLATTEST_BY_SCAN, Math.min(HARDEST_BY_SCAN, slope));
    }
}
