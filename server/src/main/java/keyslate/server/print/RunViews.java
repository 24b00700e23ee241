package keyslate.server.print;

import java.util.List;
import keyslate.server.local.LocalViews.AreaView;
import keyslate.server.sheet.SheetViews.EventView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.StepView;
import org.jspecify.annotations.Nullable;

/** What the run room sees; times in seconds on the timer's clock. */
public final class RunViews {
    private RunViews() {}

    /**
     * A sheet under the lamp.
     *
     * @param positivePath where its positive is asked for, without a size; left out when nothing of it was scanned
     * @param room SAFELIGHT or BLACKOUT
     * @param lamp SWITCHED, MY_TIMER or BURNS
     * @param lampPort port of this machine that takes nothing but what a run asks, so that no picture makes the lamp wait
     * @param step that is on or comes next; none when all are given
     * @param whiteLight whether it may come on, for this sheet
     * @param paperId the box its paper comes from
     * @param boxOpen whether that box was said to lie open
     * @param left whether the printer closed the paper away and is out
     * @param fromSeconds how far into the step the light before an interruption had come
     */
    public record RunView(
            String sheetId,
            String slateId,
            @Nullable String positivePath,
            String title,
            String label,
            String kind,
            String station,
            String lookedAtStation,
            String state,
            String room,
            String lamp,
            int lampPort,
            List<StepView> script,
            List<AreaView> areas,
            RectView view,
            double aspect,
            int stepsDone,
            @Nullable Integer step,
            double nextSetSeconds,
            double fromSeconds,
            boolean resumed,
            boolean lampOn,
            double elapsedSeconds,
            double clockSpeed,
            boolean powerLost,
            boolean unwritten,
            WhiteLightView whiteLight,
            String paperId,
            boolean boxOpen,
            boolean left,
            List<EventView> events) {}

    /**
     * Whether white light may come on.
     *
     * @param safe for this paper
     * @param waitSeconds on the clock of the wall until it is, where waiting is enough
     * @param says why, or that it is
     */
    public record WhiteLightView(boolean safe, double waitSeconds, String says) {}

    /**
     * Whether white light may come on in the darkroom.
     *
     * @param safe for all paper
     * @param says of each sheet, and of each box that lies open, why not
     * @param openBoxes papers whose box lies open
     */
    public record RoomLightView(boolean safe, List<String> says, List<String> openBoxes) {}

    /** Whether the box of a paper lies open now. */
    public record BoxAsked(@Nullable Boolean open) {}

    /** White light, or the alarm, while paper is not safe; {@code onPurpose} puts the light on all the same and says so on record. */
    public record RoomLightAsked(@Nullable Boolean onPurpose) {}

    /** A sheet to begin, by its kind. */
    public record NewSheet(long version, @Nullable String kind) {}

    /** Lamp on for a step, or off; {@code complete} says of a lamp the printer times that the step was given in full. */
    public record LampRequest(
            boolean on, @Nullable Integer step, @Nullable Boolean complete) {}

    /** What happened to a sheet besides its light. */
    public record NewEvent(@Nullable String kind) {}

    /** Giving a sheet up, with what happened. */
    public record Abandon(@Nullable String reason) {}
}
