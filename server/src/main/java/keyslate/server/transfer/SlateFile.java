package keyslate.server.transfer;

import java.util.List;
import java.util.Objects;
import keyslate.store.json.Seen;
import keyslate.store.json.StoredMark;
import keyslate.store.json.StoredPhase;
import keyslate.store.json.StoredShape;
import keyslate.store.json.StoredTaste;
import keyslate.store.json.StoredTest;
import keyslate.store.json.StoredTone;
import org.jspecify.annotations.Nullable;

/**
 * A whole slate as one JSON file, version 2, with all it needs to stand elsewhere; docs/formats/slate.md describes it. Records of its own: what
 * the data file looks like may change without it. Nothing in it says to which slate a recipe, sheet or decision belongs: all belong to this one.
 *
 * @param frame it is of, left out for a proof; {@code frames} all of the roll, for a proof alone
 * @param pictures without their bytes; those stand in the JSON beside them
 */
public record SlateFile(
        String format,
        int formatVersion,
        FileRoll roll,
        @Nullable FileFrame frame,
        @Nullable List<FileFrame> frames,
        List<FileEnlarger> enlargers,
        List<FileLens> lenses,
        List<FilePaper> papers,
        FileSlate slate,
        List<FileRecipe> recipes,
        List<FileSheet> sheets,
        List<FileDecision> decisions,
        List<FilePicture> pictures) {
    /**
     * The title of what stands.
     *
     * @throws keyslate.server.web.RefusedException when that is not in the file
     */
    String title() {
        return recipes.stream()
                .filter(r -> r.id().equals(slate.recipeId()))
                .findFirst()
                .orElseThrow(() -> FileReader.damaged("its standing recipe is missing"))
                .title();
    }

    /** The frames in the file: the one, or those of a proof. */
    List<FileFrame> allFrames() {
        return frame == null ? Objects.requireNonNull(frames) : List.of(frame);
    }

    /** The word in {@code format}. */
    public static final String FORMAT = "key-slate";
    /** The version that is written. */
    public static final int VERSION = 2;

    /** See {@code keyslate.store.negative.Roll}. */
    public record FileRoll(
            String id,
            String title,
            String film,
            String kind,
            double longMm,
            double shortMm,
            @Nullable Integer stripFrames,
            @Nullable Boolean oddFirst,
            String addedAt,
            @Nullable FileHistory history) {}

    /** See {@code keyslate.store.negative.RollHistory}; left out where nothing is recorded. */
    public record FileHistory(
            String takenOn,
            String camera,
            String sleeve,
            @Nullable Double nominalIso,
            @Nullable Double exposedIso,
            String development,
            String remark) {}

    public record FileFrame(
            String id,
            String number,
            String title,
            String caption,
            boolean upright,
            @Nullable String pictureId,
            @Nullable String rating,
            @Nullable FileNotes notes) {}

    /** See {@code keyslate.store.negative.FrameNotes}; left out where nothing is recorded. */
    public record FileNotes(
            String people,
            String consent,
            String defects,
            boolean beyondRescue,
            @Nullable Double baseDensity,
            @Nullable Double shadowDensity,
            @Nullable Double highlightDensity,
            String reader,
            List<StoredMark> marks) {}

    public record FileEnlarger(
            String id,
            String name,
            String head,
            String lamp,
            boolean dials,
            double strengthLog10,
            double lagSeconds,
            String lagSource,
            double columnMm,
            String columnSource) {}

    public record FileLens(
            String id,
            String name,
            double focalMm,
            double openMark,
            double smallestMark,
            int marksPerStop,
            double coversMm) {}

    public record FilePaper(
            String id,
            String name,
            String kind,
            String base,
            double widthMm,
            double heightMm,
            String batch,
            int sheetsInBox,
            double sheetsLeft,
            int reserveSheets,
            @Nullable Boolean counted,
            @Nullable String startLight,
            @Nullable String surface,
            @Nullable Double grade) {}

    public record FileSlate(
            String id,
            String createdAt,
            long version,
            String recipeId,
            @Nullable String redoId,
            @Nullable String acceptedSheetId,
            String touchedAt,
            @Nullable Boolean practice) {}

    public record FileRecipe(
            String id,
            @Nullable String previousId,
            String madeAt,
            String edit,
            String title,
            String intent,
            boolean whiteWanted,
            boolean blackWanted,
            @Nullable List<StoredTone> tones,
            @Nullable StoredTaste taste,
            String enlargerId,
            String lensId,
            double apertureMark,
            String paperId,
            double sheetWidthMm,
            double sheetHeightMm,
            double borderMm,
            String fit,
            double cropPlace,
            @Nullable Double cropDown,
            @Nullable Double overfillPercent,
            @Nullable FileBlades blades,
            @Nullable FileSized sized,
            @Nullable FileContact contact,
            List<FilePart> base,
            String baseSource,
            String baseBecause,
            @Nullable Integer presses,
            StoredTest test,
            String localWay,
            List<FileArea> areas) {}

    /** How the light came to a negative on the paper: from LENS or LAMP; left out when it was enlarged. */
    public record FileContact(
            String source, double distanceMm, @Nullable String columnReading) {}

    /** The white on each side where it is not alike, mm. */
    public record FileBlades(double leftMm, double topMm, double rightMm, double bottomMm) {}

    /** A size that was set by eye: by COLUMN, HEIGHT or PICTURE, with the reading in mm. */
    public record FileSized(String by, double reading, double times) {}

    public record FilePart(String light, double seconds) {}

    public record FileArea(
            String key,
            String name,
            StoredShape shape,
            double softEdge,
            double changeStops,
            @Nullable String light,
            String tool) {}

    public record FileSheet(
            String id,
            int number,
            String kind,
            String recipeId,
            String begunAt,
            String state,
            @Nullable String endedAt,
            double paperUsed,
            double magnification,
            @Nullable FileStood stood,
            String note,
            List<FilePiece> pieces,
            List<FileStep> steps,
            List<FileLamp> lamp,
            List<FileEvent> events,
            List<FileScan> scans) {}

    /** What a sheet rested on when it was begun. */
    public record FileStood(
            FileEnlarger enlarger,
            FileLens lens,
            FilePaper paper,
            double frameWidthMm,
            double frameHeightMm,
            List<FileBath> baths,
            String room,
            @Nullable FileFilm film,
            @Nullable List<FileConstant> constants) {}

    /** What was known of enlarger, lens or paper by a test or an entry; the parts it has not are left out. */
    public record FileConstant(
            String thingId,
            String lensId,
            String name,
            String source,
            String foundAt,
            @Nullable Double value,
            @Nullable Double limit,
            @Nullable Double second,
            @Nullable List<FilePlace> places,
            @Nullable FileScale scale) {}

    /** A constant at one place: an opening by its mark, a corner by its name. */
    public record FilePlace(String at, double value, double limit) {}

    /** A column's scale with one lens. */
    public record FileScale(
            double focalMm,
            double begins,
            double beginsVariance,
            double focalVariance,
            double covariance,
            int freedom) {}

    /** Which frames lay under the glass of a proof, in order, and how many each strip had. */
    public record FileFilm(List<String> frameIds, List<Integer> strips) {}

    public record FileBath(String name, double capacityM2, double usedM2) {}

    public record FilePiece(int number, double left, double top, double width, double height) {}

    public record FileStep(
            int place,
            int piece,
            String light,
            double opening,
            double setSeconds,
            int presses,
            List<StoredPhase> phases,
            List<String> cues) {}

    public record FileLamp(
            int step,
            int attempt,
            double setSeconds,
            String onAt,
            @Nullable String offAt,
            @Nullable Double givenSeconds,
            @Nullable String outcome,
            boolean told) {}

    public record FileEvent(int place, String kind, String happenedAt) {}

    public record FileScan(int place, String pictureId, String handedAt, List<Double> offsets, String source) {}

    public record FileDecision(
            String id,
            String sheetId,
            String kind,
            String madeAt,
            Seen seen,
            String remark,
            String headline,
            String why,
            @Nullable String proposedLight,
            @Nullable Double proposedSeconds,
            boolean overruled,
            @Nullable String takenLight,
            @Nullable Double takenSeconds) {}

    /** A picture; its file and its working copy stand beside it in base 64, as {@code file} and {@code working}. */
    public record FilePicture(
            String id,
            String mediaType,
            String encoding,
            int widthPx,
            int heightPx,
            @Nullable String workingMediaType,
            @Nullable Boolean profiled,
            @Nullable Boolean negative,
            @Nullable List<Double> corners) {}
}
