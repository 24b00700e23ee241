package keyslate.server.test;

import java.util.List;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.StepView;
import keyslate.store.json.StoredTest;
import org.jspecify.annotations.Nullable;

/** What the page sees of a test that is planned. */
public final class TestViews {
    private TestViews() {}

    /**
     * The next strip, computed; a problem says why it cannot be made as it stands.
     *
     * @param wideStripOffered while the base exposure is no more than a default
     */
    public record TestView(
            StoredTest plan,
            List<PlannedPatchView> patches,
            List<StepView> script,
            RectView area,
            double lengthMm,
            double breadthMm,
            double totalSetSeconds,
            double paperShare,
            double centreSeconds,
            List<String> notes,
            boolean wideStripOffered,
            @Nullable String problem) {}

    /** One patch: what it receives, what the timer is set to for it, how often it is pressed, and where it falls on the strip. */
    public record PlannedPatchView(
            int number,
            double totalSeconds,
            double setSeconds,
            int presses,
            double stopsFromCentre,
            double roundingErrorStops,
            boolean tooShort,
            RectView place) {}
}
