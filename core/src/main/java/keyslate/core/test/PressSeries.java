package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * A strip with one setting of a timer that is pressed by hand: so many presses in all for each patch.
 *
 * <p>EXP-33: whole numbers n_k nearest to n_0·T_k/T_0, n_0 the smallest from 1 with which they rise and none is more than
 * {@value #TOLERANCE_STOPS} stop off, {@value #MOST_PRESSES} presses at most, and with the rounding of the timer none over {@value #FURTHEST_OFF_STOPS}; each press is set to T_mid/n_mid + lag, rounded to the timer once.
 * Half stops about a centre are 2, 3, 4, 6, 8 presses; as 4, 6, 8, 11, 16 they would be no nearer at the worst patch and cost twice the presses. The lag counts at every press. Derived in docs/formulas/exposure.md.
 *
 * @param set what the timer is set to, once
 * @param presses in all for each patch, rising
 * @param errors of each patch against what was wanted, rounding of the timer included
 */
public record PressSeries(ExposureTime set, List<Integer> presses, List<Stops> errors) {
    static final double TOLERANCE_STOPS = 0.1;
    /** With the rounding of the timer, which moves the whole series. */
    static final double FURTHEST_OFF_STOPS = 0.2;

    static final int MOST_PRESSES = 16;

    public PressSeries {
        presses = List.copyOf(presses);
        errors = List.copyOf(errors);
    }

    /** The series for rising totals, or none when no few presses of one setting come near them. */
    public static Optional<PressSeries> of(List<ExposureTime> wanted, TimerSteps timer, LampLag lag) {
        double span = wanted.get(wanted.size() - 1).inSeconds() / wanted.get(0).inSeconds();
        for (int first = 1; first * span < MOST_PRESSES + 0.5; first++) {
            List<Integer> counts = counts(wanted, first);
            if (counts.isEmpty()) {
                continue;
            }
            int middle = wanted.size() / 2;
            double each = wanted.get(middle).inSeconds() / counts.get(middle);
            ExposureTime set =
                    timer.nearest(lag.toSet(ExposureTime.ofSeconds(each))).time();
            double received = lag.receivedSeconds(set);
            if (received <= 0) {
                return Optional.empty();
            }
            List<Stops> errors = new ArrayList<>();
            for (int k = 0; k < counts.size(); k++) {
                errors.add(ExposureTime.ofSeconds(received * counts.get(k)).stopsFrom(wanted.get(k)));
            }
            if (errors.stream().allMatch(e -> Math.abs(e.inStops()) <= FURTHEST_OFF_STOPS)) {
                return Optional.of(new PressSeries(set, counts, errors));
            }
        }
        return Optional.empty();
    }

    /** The whole numbers nearest to the series, or none when they do not rise or one is too far off. */
    private static List<Integer> counts(List<ExposureTime> wanted, int first) {
        List<Integer> counts = new ArrayList<>();
        for (ExposureTime want : wanted) {
            double exact = first * want.inSeconds() / wanted.get(0).inSeconds();
            int count = (int) Math.rint(exact);
            boolean rises = counts.isEmpty() || count > counts.get(counts.size() - 1);
            if (!rises || count > MOST_PRESSES || Math.abs(Math.log(count / exact) / Math.log(2)) > TOLERANCE_STOPS) {
                return List.of();
            }
            counts.add(count);
        }
        return counts;
    }
}
