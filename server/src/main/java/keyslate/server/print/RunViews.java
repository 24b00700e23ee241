package keyslate.server.print;

import java.util.List;
import keyslate.server.slate.SlateViews.AreaView;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import org.jspecify.annotations.Nullable;

/** What the run room sees; times in seconds on the timer's clock. */
public final class RunViews {
    private RunViews() {}

    /** A sheet under the lamp. {@code burst} is the one that is on or comes next; none when all are given. */
    public record RunView(
            String sheetId,
            String slateId,
            String frameId,
            String title,
            String label,
            String kind,
            String state,
            List<ScriptStepView> script,
            List<AreaView> areas,
            RectView view,
            double aspect,
            boolean hasPicture,
            String direction,
            int burstsDone,
            @Nullable Integer burst,
            double nextSetSeconds,
            boolean resumed,
            boolean lampOn,
            double elapsedSeconds,
            double clockSpeed,
            boolean powerLost) {}

    /** A sheet to begin: STRIP or PRINT. */
    public record NewSheet(long version, String kind) {}

    /** Lamp on for a burst, or off. */
    public record LampRequest(boolean on, @Nullable Integer burst) {}

    /** Giving a sheet up, with what happened. */
    public record Abandon(@Nullable String reason) {}
}
