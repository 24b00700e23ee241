package keyslate.core.exposure;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * An opening and the time that gives the same light with it.
 *
 * <p>EXP-39: t2 = R((N2/N1)²·R⁻¹(t1)) with true numbers (EXP-06, EXP-22) for each mark of the ring; clicks are counted as the hand counts them, from wide open and from where the ring stands.
 *
 * @param mark the mark of the ring
 * @param time as received
 * @param clicksFromOpen 0 or more
 * @param clicksFromHere positive = closed further
 * @param within where the time lies against the window
 */
public record OpeningPair(ApertureMark mark, ExposureTime time, int clicksFromOpen, int clicksFromHere, Within within) {
    /** Where a time lies. */
    public enum Within {
        SHORT,
        WORKABLE,
        LONG
    }

    /** A time may miss the window by this and count as in it: no hand feels it. */
    private static final double SLACK_STOPS = 1.0 / 24;

    /**
     * All pairs of a ring, from wide open on, as far as a timer goes.
     *
     * @param here the mark that stands, one of {@code ring}
     * @param trueNumbers of the marks, in their order
     * @param paper its loss in long exposures
     */
    public static List<OpeningPair> of(
            ExposureTime time,
            ApertureMark here,
            List<ApertureMark> ring,
            List<FNumber> trueNumbers,
            Reciprocity paper,
            ExposureTime shortest,
            ExposureTime longest) {
        Check.count("true numbers", trueNumbers.size(), ring.size(), ring.size());
        int at = ring.indexOf(here);
        if (at < 0) {
            throw Check.outOfRange("f-number", "the mark that stands is not on the ring");
        }
        FNumber now = trueNumbers.get(at);
        return IntStream.range(0, ring.size())
                .mapToObj(i -> there(time, ratio(now, trueNumbers.get(i)), paper)
                        .map(t -> new OpeningPair(ring.get(i), t, i, i - at, where(t, shortest, longest))))
                .flatMap(Optional::stream)
                .toList();
    }

    private static double ratio(FNumber now, FNumber there) {
        double ratio = there.inFStops() / now.inFStops();
        return ratio * ratio;
    }

    /** None beyond what is taken for a real exposure. */
    private static Optional<ExposureTime> there(ExposureTime time, double factor, Reciprocity paper) {
        try {
            return Optional.of(paper.scaled(time, factor));
        } catch (QuantityException e) {
            return Optional.empty();
        }
    }

    private static Within where(ExposureTime time, ExposureTime shortest, ExposureTime longest) {
        if (time.plus(Stops.of(SLACK_STOPS)).inSeconds() < shortest.inSeconds()) {
            return Within.SHORT;
        }
        return time.plus(Stops.of(-SLACK_STOPS)).inSeconds() > longest.inSeconds() ? Within.LONG : Within.WORKABLE;
    }
}
