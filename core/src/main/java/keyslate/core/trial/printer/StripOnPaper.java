package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * A strip as it is exposed.
 *
 * @param bursts as the timer is set
 * @param covered whether a patch gets its own burst and all before it, the card moving on; else its own alone
 * @param totals of the patches at the opening the plan was made for, as far as the printer knows
 * @param closed stops by which the lens was closed for it; negative = opened
 */
public record StripOnPaper(List<ExposureTime> bursts, boolean covered, List<ExposureTime> totals, Stops closed) {
    /** The lag that the printer believes in. */
    public static final LampLag KNOWN_LAG = LampLag.ofSeconds(0.1);

    private static final int MOST_STOPS = 4;
    private static final double LONGEST_SECONDS = 600;
    private static final double NO_LIGHT_SECONDS = 0.01;

    /**
     * As the plan wants it; the lens is closed by whole stops until no burst is flagged as too short to repeat, or
     * opened when it would take ten minutes, and the totals are counted back to the open lens.
     */
    static StripOnPaper covering(CheckStrip plan) {
        Stops half = plan.step().times((plan.patches() - 1) / 2.0);
        double longest = plan.centre().plus(half).inSeconds();
        double shortest =
                plan.centre().plus(half.negated()).inSeconds() * (plan.step().toFactor() - 1);
        int closed = 0;
        while (closed < MOST_STOPS && shortest * Math.pow(2, closed) < CoverStrip.SHORTEST_BURST_SECONDS) {
            closed++;
        }
        while (closed > -MOST_STOPS && longest * Math.pow(2, closed) > LONGEST_SECONDS) {
            closed--;
        }
        Stops stops = Stops.of(closed);
        CoverStrip strip = CoverStrip.plan(
                TestSeries.equalStopsAbout(plan.centre().plus(stops), plan.step(), plan.patches()),
                TimerSteps.tenths(),
                KNOWN_LAG,
                CoverStrip.SHORTEST_BURST_SECONDS);
        return new StripOnPaper(
                strip.patches().stream().map(CoverStrip.Patch::burst).toList(),
                true,
                strip.patches().stream()
                        .map(p -> p.total().plus(stops.negated()))
                        .toList(),
                stops);
    }

    /** Each patch with one burst of its own, as the patches of a ring-around are. */
    static StripOnPaper patchByPatch(CheckStrip plan) {
        List<ExposureTime> totals = TestSeries.equalStopsAbout(plan.centre(), plan.step(), plan.patches()).stream()
                .map(t -> TimerSteps.tenths().nearest(t).time())
                .toList();
        return new StripOnPaper(totals.stream().map(KNOWN_LAG::toSet).toList(), false, totals, Stops.ZERO);
    }

    /** Equal bursts through the open lens with no thought of lag, as the plain rules have it. */
    static StripOnPaper equalBursts(double seconds, int patches) {
        List<ExposureTime> bursts = Collections.nCopies(patches, ExposureTime.ofSeconds(seconds));
        return new StripOnPaper(bursts, true, List.of(), Stops.ZERO);
    }

    /** Seconds of full light each patch receives under a lamp of a lag, at the opening the plan was made for. */
    public List<Double> receivedSeconds(double lagSeconds) {
        List<Double> received = new ArrayList<>();
        double sum = 0;
        for (ExposureTime burst : bursts) {
            double here = Math.max(NO_LIGHT_SECONDS, burst.inSeconds() - lagSeconds);
            sum = covered ? sum + here : here;
            received.add(sum / closed.toFactor());
        }
        return received;
    }
}
