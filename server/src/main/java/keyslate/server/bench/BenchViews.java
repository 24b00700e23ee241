package keyslate.server.bench;

import java.util.List;
import keyslate.server.slate.SlateViews.SlateCard;
import keyslate.server.stores.StoresViews.BathView;
import keyslate.server.stores.StoresViews.PaperView;
import org.jspecify.annotations.Nullable;

/** The bench and what stands in the stores. */
public final class BenchViews {
    private BenchViews() {}

    /**
     * Home: the slate touched last is on the easel.
     *
     * @param practice whether lamps, paper and scanner are simulated
     * @param slates the first of them
     * @param moreSlates how many follow
     * @param empty whether no enlarger, lens or paper was entered yet
     * @param putAway how many slates are put away
     * @param backupProblem why the copy that was due was not made
     */
    public record BenchView(
            List<SlateCard> slates,
            int moreSlates,
            List<BathView> baths,
            List<PaperView> papers,
            String clock,
            boolean practice,
            boolean empty,
            int putAway,
            @Nullable String backupProblem) {}

    /** Which darkroom: the practice one, or one's own. */
    public record DarkroomChoice(boolean practice) {}

    /** The three questions of a first start. */
    public record FirstStart(
            @Nullable Papers papers,
            @Nullable Head head,
            @Nullable Lamp lamp,
            @Nullable SheetSize sheet) {}

    /** Which paper is printed on. */
    public enum Papers {
        MONOCHROME,
        COLOUR,
        BOTH
    }

    /** The sheets in the box, in centimetres. */
    public enum SheetSize {
        CM_13_18(180, 130),
        CM_20_25(254, 203),
        CM_24_30(305, 240),
        CM_30_40(406, 305);

        private final double longMm;
        private final double shortMm;

        SheetSize(double longMm, double shortMm) {
            this.longMm = longMm;
            this.shortMm = shortMm;
        }

        double longMm() {
            return longMm;
        }

        double shortMm() {
            return shortMm;
        }
    }

    /** What the enlarger's light comes through. */
    public enum Head {
        CONDENSER,
        DIFFUSION,
        COLOUR
    }

    /** How its lamp is timed. */
    public enum Lamp {
        MY_TIMER,
        BURNS
    }
}
