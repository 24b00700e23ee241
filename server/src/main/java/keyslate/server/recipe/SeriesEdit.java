package keyslate.server.recipe;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import keyslate.core.exposure.TestSeries;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.test.PatchSeries;
import keyslate.server.recipe.RecipeChange.TestChange;
import org.jspecify.annotations.Nullable;

/** The edit of what the patches of a test receive. */
final class SeriesEdit {
    private static final double TENTH = 0.1;

    private final Edit edit;
    private final ExposureTime base;
    private final TestChange change;
    private final PatchSeries now;

    private SeriesEdit(Edit edit, ExposureTime base, TestChange change, PatchSeries now) {
        this.edit = edit;
        this.base = base;
        this.change = change;
        this.now = now;
    }

    /** The series after a change; a list or presses alone take their way up too. */
    static PatchSeries of(Edit edit, ExposureTime base, PatchSeries now, TestChange change) {
        return new SeriesEdit(edit, base, change, now).series();
    }

    private PatchSeries series() {
        boolean follows = Boolean.TRUE.equals(change.followsBase());
        List<ExposureTime> own = own();
        PatchSeries.Kind asked = change.own() != null
                ? PatchSeries.Kind.OWN_TIMES
                : change.presses() != null || change.pressSeconds() != null ? PatchSeries.Kind.PRESSES : now.kind();
        PatchSeries.Kind kind = edit.oneOf("/test/series", change.series(), asked);
        return new PatchSeries(
                kind,
                follows ? Optional.empty() : time("/test/centreSeconds", change.centreSeconds(), now.centre()),
                Stops.of(within(
                        "/test/stepStops",
                        change.stepStops(),
                        now.step().inStops(),
                        PatchSeries.SMALLEST_STEP.inStops(),
                        PatchSeries.LARGEST_STEP.inStops(),
                        "stops")),
                within(
                        "/test/stepSeconds",
                        change.stepSeconds(),
                        now.stepSeconds(),
                        PatchSeries.SMALLEST_STEP_SECONDS,
                        PatchSeries.LARGEST_STEP_SECONDS,
                        "s"),
                count("/test/patches", change.patches(), now.count()),
                kind == PatchSeries.Kind.OWN_TIMES && own.isEmpty() ? fromStops() : own,
                presses(),
                follows ? Optional.empty() : time("/test/pressSeconds", change.pressSeconds(), now.eachPress()));
    }

    /** A list of one's own begins as the series that stood, to a tenth; exact where tenths are too coarse to rise. */
    private List<ExposureTime> fromStops() {
        List<ExposureTime> exact = TestSeries.equalStopsAbout(now.centre().orElse(base), now.step(), now.count());
        List<ExposureTime> rounded = exact.stream()
                .map(t -> ExposureTime.ofSeconds(Math.max(TENTH, Math.rint(t.inSeconds() / TENTH) * TENTH)))
                .distinct()
                .toList();
        return rounded.size() == exact.size() ? rounded : exact;
    }

    private List<ExposureTime> own() {
        return change.own() == null
                ? now.own()
                : checked(
                        "/test/own",
                        now.own(),
                        () -> PatchSeries.checkedOwn(change.own().stream()
                                .map(ExposureTime::ofSeconds)
                                .toList()));
    }

    private List<Integer> presses() {
        return change.presses() == null
                ? now.presses()
                : checked("/test/presses", now.presses(), () -> PatchSeries.checkedPresses(change.presses()));
    }

    private Optional<ExposureTime> time(String pointer, @Nullable Double seconds, Optional<ExposureTime> stands) {
        return seconds == null ? stands : checked(pointer, stands, () -> Optional.of(ExposureTime.ofSeconds(seconds)));
    }

    private double within(
            String pointer, @Nullable Double figure, double stands, double least, double most, String unit) {
        return figure == null
                ? stands
                : checked(
                        pointer,
                        stands,
                        () -> Check.within("step", Check.positive("step", figure, unit), least, most, unit));
    }

    private int count(String pointer, @Nullable Integer patches, int stands) {
        return patches == null
                ? stands
                : checked(
                        pointer,
                        stands,
                        () -> Check.count("patches", patches, TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES));
    }

    private <T> T checked(String pointer, T stands, Supplier<T> read) {
        return edit.errors().check(pointer, stands, read);
    }
}
