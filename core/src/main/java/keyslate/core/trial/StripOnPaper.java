package keyslate.core.trial;

import java.util.List;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * A strip as the plan wants it exposed; the lens is closed by whole stops until no burst is flagged as too short to repeat, and the totals are counted back to the open lens.
 *
 * @param bursts as the timer is set
 * @param totals of the patches at the opening the plan was made for
 * @param closed stops by which the lens was closed for it
 */
record StripOnPaper(List<ExposureTime> bursts, List<ExposureTime> totals, Stops closed) {
    private static final int MOST_CLOSED = 4;

    static StripOnPaper expose(CheckStrip plan) {
        int closed = 0;
        double rise = plan.step().toFactor() - 1;
        double first = plan.centre()
                .plus(plan.step().times(-(plan.patches() - 1) / 2.0))
                .inSeconds();
        while (closed < MOST_CLOSED && first * rise * (1 << closed) < CoverStrip.SHORTEST_BURST_SECONDS) {
            closed++;
        }
        Stops stops = Stops.of(closed);
        CoverStrip strip = CoverStrip.plan(
                TestSeries.equalStopsAbout(plan.centre().plus(stops), plan.step(), plan.patches()),
                TimerSteps.tenths(),
                MonoWorld.KNOWN_LAG,
                CoverStrip.SHORTEST_BURST_SECONDS);
        return new StripOnPaper(
                strip.patches().stream().map(CoverStrip.Patch::burst).toList(),
                strip.patches().stream()
                        .map(p -> p.total().plus(stops.negated()))
                        .toList(),
                stops);
    }

    /** Equal bursts through the open lens, as the plain rules have it. */
    static StripOnPaper equalBursts(double seconds, int patches) {
        List<ExposureTime> bursts = java.util.Collections.nCopies(patches, ExposureTime.ofSeconds(seconds));
        return new StripOnPaper(bursts, List.of(), Stops.ZERO);
    }
}
