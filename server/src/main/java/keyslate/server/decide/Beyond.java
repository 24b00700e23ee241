package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.CheckView;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.LightView;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.RefusedException;

/** A reading whose answer lies off the test: it names no time, it plans the next test (EXP-30). */
final class Beyond {
    private static final String FAR = "FAR_";

    private Beyond() {}

    /** The test to make next; none where the answer lies on this one. */
    static Optional<CheckPlan> of(Hung strip, Marks marks) {
        return next(strip, marks).map(CheckPlan::inOneRow);
    }

    private static Optional<CheckStrip> next(Hung strip, Marks marks) {
        return of(marks).map(where -> {
            List<ExposureTime> totals = Readings.totals(strip);
            if (totals.size() < 2) {
                throw RefusedException.of("/marks/beyond", "E_SHAPE", "Of one sheet say how much more light it needs.");
            }
            return CheckStrip.beyond(totals, where.darker(), where.far());
        });
    }

    private record Where(boolean darker, boolean far) {}

    private static Optional<Where> of(Marks marks) {
        String beyond = marks.beyond();
        if (beyond == null) {
            return Optional.empty();
        }
        boolean far = beyond.startsWith(FAR);
        String side = far ? beyond.substring(FAR.length()) : beyond;
        return switch (side) {
            case "LIGHTER" -> Optional.of(new Where(false, far));
            case "DARKER" -> Optional.of(new Where(true, far));
            default ->
                throw RefusedException.of(
                        "/marks/beyond",
                        "E_SHAPE",
                        "This is nowhere; there are LIGHTER, DARKER, FAR_LIGHTER and FAR_DARKER.");
        };
    }

    /** What to do next; none where the answer lies on this test. */
    static Optional<VerdictView> verdict(Hung strip, Marks marks) {
        return of(marks).map(where -> {
            CheckStrip next = next(strip, marks).orElseThrow();
            ExposureTime centre = strip.carried(next.centre());
            List<ExposureTime> totals = Readings.totals(strip);
            Stops moved = next.centre()
                    .stopsFrom(ExposureTime.ofSeconds(Math.sqrt(totals.get(0).inSeconds()
                            * totals.get(totals.size() - 1).inSeconds())));
            Stops half = next.step().times((next.patches() - 1) / 2.0);
            return new VerdictView(
                    (where.darker() ? "Every patch is too light. " : "Every patch is too dark. ") + "Next: "
                            + Show.seconds(centre.plus(half.negated()).inSeconds())
                                    .replace(" s", "") + " to "
                            + Show.seconds(centre.plus(half).inSeconds()) + ".",
                    "The series moves by " + Show.stops(moved)
                            + (where.far()
                                    ? ", in steps of " + Show.stopsApart(next.step())
                                            + ": nothing on this one tells how far."
                                    : "; one patch is seen again, so that the two can be laid together.")
                            + (where.darker()
                                    ? " A filter that was put in costs light: it is seldom the filter that is wrong."
                                    : ""),
                    List.of("This test got "
                            + Show.seconds(totals.get(0).inSeconds()).replace(" s", "") + " to "
                            + Show.seconds(totals.get(totals.size() - 1).inSeconds()) + ", on record (EXP-30)."),
                    LightView.of(strip.light()),
                    centre.inSeconds(),
                    centre.inSeconds(),
                    half.inStops(),
                    new CheckView(next.step().inStops(), next.patches(), null, "The next test."),
                    null,
                    true,
                    null);
        });
    }
}
