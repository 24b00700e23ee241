package keyslate.server.sheet;

import java.util.List;
import keyslate.core.script.Part;
import keyslate.server.medium.MediumPart;
import keyslate.server.rig.LightView;
import keyslate.store.json.Look;
import org.jspecify.annotations.Nullable;

/** What the page sees of sheets. Units stand in the names; a null is left out of the JSON. */
public final class SheetViews {
    private SheetViews() {}

    /** A rectangle in fractions of what it lies on. */
    public record RectView(double left, double top, double width, double height) {
        public static RectView of(Part p) {
            return new RectView(p.left(), p.top(), p.width(), p.height());
        }
    }

    /** What an exposure does for a while: words for the hands, and LIGHT, HOLD, BURN, CARD or COVERED for drawing and sound. */
    public record PhaseView(
            double seconds,
            String does,
            String words,
            List<String> areaKeys,
            @Nullable RectView uncovered) {}

    /**
     * One exposure of a sheet, in words that are the same on the page, on cards and in speech.
     *
     * @param before what the hands do before it; empty when nothing
     * @param setInLight whether it is set in white light, with the paper in its box
     * @param putAway where the paper goes before its setting, in words; empty where none is set in white light
     * @param putAwaySaid the same as names of recorded clips
     * @param said what is to be done and pressed, as names of recorded clips, in order
     */
    public record StepView(
            int place,
            LightView light,
            double setSeconds,
            int presses,
            double receivedSeconds,
            String before,
            boolean setInLight,
            String putAway,
            List<String> putAwaySaid,
            String words,
            List<String> said,
            List<PhaseView> phases) {}

    /**
     * A patch as it was planned and as it was really given, by the record of the lamp, as if all of it came through the standing opening.
     *
     * @param stopsFromMiddle of the series; of pieces of different lights from the time that keeps the print as dark
     * @param place in the picture of the whole test; of a sector the disc
     * @param piece it lies on, from 1
     * @param row it lies in, from 1: two of different lights on one paper
     * @param light that fell on it, in the paper's notation
     * @param name what it is called besides its number; empty where nothing but the time differs
     * @param turns what its pack does to the print beside the one that stood, such as "greener"; empty where that is nothing
     * @param mark how its piece is told from the others, in words
     * @param sector of a wedge; none as a rule
     */
    public record PatchView(
            int number,
            double plannedSeconds,
            double givenSeconds,
            double stopsFromMiddle,
            RectView place,
            int piece,
            int row,
            String light,
            String name,
            String turns,
            String mark,
            @Nullable SectorView sector) {}

    /**
     * A sector of a disc.
     *
     * @param fromDegrees clockwise from the top
     * @param toDegrees where it ends, alike
     */
    public record SectorView(double fromDegrees, double toDegrees) {}

    /** What happened besides the light. */
    public record EventView(String kind, String happenedAt) {}

    /**
     * A reading, judgement or acceptance on record.
     *
     * @param row of a test in two rows: which was read, from 1
     * @param looks all looks of a reading that was made more than once; its marks are their means
     * @param fromPicture whether a reading was measured in a picture
     */
    public record DecisionView(
            String kind,
            String madeAt,
            @Nullable Double whitesAt,
            @Nullable Double blacksAt,
            @Nullable Double rightAt,
            @Nullable Double magentaPoints,
            @Nullable Double yellowPoints,
            @Nullable String way,
            @Nullable Double densityStops,
            @Nullable Double darkerStops,
            @Nullable Double harderGrades,
            @Nullable Boolean dry,
            @Nullable Double moreStops,
            @Nullable String beyond,
            @Nullable String whitesTone,
            @Nullable String rightTone,
            @Nullable String blacksTone,
            @Nullable String lamp,
            @Nullable Boolean second,
            @Nullable String blackBeyond,
            @Nullable Integer row,
            @Nullable List<Look> looks,
            boolean fromPicture,
            String remark,
            String headline,
            String why,
            boolean overruled,
            @Nullable String takenLight,
            @Nullable Double takenSeconds) {}

    /**
     * A sheet on the cord.
     *
     * @param told whether the printer said what the lamp did
     * @param pictureId of the picture that counts; none without one, and {@code simulatedPicture} where it is a stand-in's
     * @param scans how many pictures there are of it as they were taken
     * @param practice whether the practice darkroom's phone can take a picture of it
     * @param asks the marks that it is read by; none where it is no test, or is one patch
     * @param doubt why it cannot be trusted; none as a rule
     * @param recorded whether what it rested on was frozen with it
     */
    public record SheetView(
            String id,
            int number,
            String kind,
            String label,
            String state,
            String begunAt,
            String summary,
            List<String> changes,
            LightView light,
            double apertureMark,
            double baseSeconds,
            String recipeId,
            double paperShare,
            double magnification,
            RectView view,
            double aspect,
            boolean told,
            boolean recorded,
            @Nullable String pictureId,
            int scans,
            boolean simulatedPicture,
            boolean practice,
            List<PatchView> patches,
            List<MediumPart.Mark> asks,
            List<StepView> script,
            int stepsDone,
            List<EventView> events,
            List<DecisionView> decisions,
            String note,
            @Nullable String doubt,
            String station,
            String lookedAtStation) {
        /** The same with its summary. */
        SheetView summed(String words) {
            return with(words, patches);
        }

        /** The same with a part of its patches. */
        SheetView withPatches(List<PatchView> other) {
            return with(summary, other);
        }

        private SheetView with(String words, List<PatchView> ofPatches) {
            return new SheetView(
                    id,
                    number,
                    kind,
                    label,
                    state,
                    begunAt,
                    words,
                    changes,
                    light,
                    apertureMark,
                    baseSeconds,
                    recipeId,
                    paperShare,
                    magnification,
                    view,
                    aspect,
                    told,
                    recorded,
                    pictureId,
                    scans,
                    simulatedPicture,
                    practice,
                    ofPatches,
                    asks,
                    script,
                    stepsDone,
                    events,
                    decisions,
                    note,
                    doubt,
                    station,
                    lookedAtStation);
        }

        public boolean isHung() {
            return "HUNG".equals(state);
        }
    }

    /** What to do next and where. */
    public record NextStepView(String station, String headline, String why, String action) {}
}
