package keyslate.server.slate;

import java.util.List;
import keyslate.server.negative.RollViews.FrameView;
import org.jspecify.annotations.Nullable;

/** What the page sees of a slate. Units stand in the names; a null is left out of the JSON. */
public final class SlateViews {
    private SlateViews() {}

    /** The whole slate with everything computed from it. */
    public record SlateView(
            String id,
            long version,
            FrameView frame,
            RecipeView recipe,
            SetupView setup,
            StripPlanView strip,
            LocalPlanView local,
            List<DifferenceView> differences,
            List<SheetView> sheets,
            NextStepView next,
            PreviewBasisView previewBasis,
            @Nullable String acceptedSheetId,
            @Nullable String undoLabel,
            @Nullable String redoLabel) {}

    /** What stands for the next sheet. */
    public record RecipeView(
            String id,
            String title,
            String intent,
            String enlargerId,
            String lensId,
            double apertureMark,
            String paperId,
            double sheetWidthMm,
            double sheetHeightMm,
            double borderMm,
            String fit,
            double cropPlace,
            String filter,
            double baseSeconds,
            String baseSource,
            String baseBecause,
            StripView strip,
            List<AreaView> areas) {}

    /** The standing strip plan; no centre = the base exposure, no place = computed. */
    public record StripView(
            String kind,
            @Nullable Double centreSeconds,
            double stepStops,
            double stepSeconds,
            int patches,
            String direction,
            double patchMm,
            double breadthMm,
            @Nullable Double place) {}

    /** An area of the local plan. */
    public record AreaView(
            String key,
            String name,
            ShapeView shape,
            double softEdge,
            double changeStops,
            @Nullable String filter,
            String tool) {}

    /** An outline: ellipse (first point centre, second radii), lasso (points) or edge (two ends). */
    public record ShapeView(String kind, List<PointView> points) {}

    /** A point in fractions of the frame. */
    public record PointView(double x, double y) {}

    /** A rectangle in fractions of what it lies on. */
    public record RectView(double left, double top, double width, double height) {}

    /** The enlarger as it must stand, computed. */
    public record SetupView(
            String enlargerName,
            String head,
            String lensName,
            double focalMm,
            String paperName,
            String paperBatch,
            double paperSheetsLeft,
            double sheetWidthMm,
            double sheetHeightMm,
            double imageWidthMm,
            double imageHeightMm,
            double magnification,
            double lensToPaperMm,
            double filmToLensMm,
            double columnMm,
            double trueFNumber,
            double stopsFromOpen,
            RectView crop,
            double lostFraction,
            double lostMm,
            double lagSeconds,
            String lagSource,
            List<String> warnings,
            StartingTimeView startingTime) {}

    /** A proposed first time with its arithmetic; rescaled, or a plain default that says so. */
    public record StartingTimeView(
            double seconds, String source, String headline, List<String> arithmetic, boolean differs) {}

    /**
     * The next strip, computed; a problem says why it cannot be made as it stands. The wide strip is offered while the
     * base exposure is no more than a default.
     */
    public record StripPlanView(
            List<PatchView> patches,
            RectView area,
            double lengthMm,
            double breadthMm,
            double totalSetSeconds,
            double paperShare,
            double centreSeconds,
            List<String> notes,
            boolean wideStripOffered,
            @Nullable String problem) {}

    /** One patch: what it receives, the burst that ends with it, and where it falls on the strip. */
    public record PatchView(
            int number,
            double totalSeconds,
            double burstSeconds,
            double stopsFromCentre,
            double roundingErrorStops,
            boolean tooShort,
            RectView place) {}

    /** The local plan, computed. */
    public record LocalPlanView(
            List<AreaTimeView> areas,
            List<ScriptStepView> script,
            double totalSetSeconds,
            @Nullable String problem,
            @Nullable StopDownView advice) {}

    /** One area in all three ways of saying it. */
    public record AreaTimeView(
            String key, double changeStops, double seconds, double percent, boolean workable, String note) {}

    /** One burst of a sheet; held = names of areas under a tool, burned = the area that is let through. */
    public record ScriptStepView(
            int place,
            String kind,
            String filter,
            double setSeconds,
            double receivedSeconds,
            @Nullable Integer patch,
            @Nullable Double patchTotalSeconds,
            List<String> held,
            @Nullable String burned) {}

    /** Advice to close the lens so that a hold becomes long enough for a hand. */
    public record StopDownView(String headline, String why, double apertureMark, double baseSeconds) {}

    /** A difference between the standing recipe and the last sheet. */
    public record DifferenceView(String part, String text) {}

    /** A sheet on the cord. */
    public record SheetView(
            String id,
            int number,
            String kind,
            String label,
            String state,
            String begunAt,
            String summary,
            List<String> changes,
            String filter,
            double apertureMark,
            double baseSeconds,
            String recipeId,
            double paperShare,
            double magnification,
            RectView view,
            double aspect,
            boolean hasPicture,
            @Nullable Double speedOffsetStops,
            List<GivenPatchView> patches,
            List<ScriptStepView> script,
            int burstsDone,
            List<DecisionView> decisions,
            String note) {}

    /** A patch as it was really given, by the record of the lamp. */
    public record GivenPatchView(
            int number, double totalSeconds, double givenSeconds, double stopsFromCentre, RectView place) {}

    /** A reading, judgement or acceptance on record. */
    public record DecisionView(
            String kind,
            String madeAt,
            @Nullable Double whitesAt,
            @Nullable Double blacksAt,
            @Nullable Double darkerStops,
            @Nullable Double harderGrades,
            String remark,
            String headline,
            String why,
            boolean overruled,
            @Nullable String takenFilter,
            @Nullable Double takenSeconds) {}

    /** A sheet's own recipe and the enlarger as it stood for it. */
    public record KeptRecipeView(RecipeView recipe, SetupView setup) {}

    /** What to do next and where. */
    public record NextStepView(String station, String headline, String why, String action) {}

    /** What the preview rests on. */
    public record PreviewBasisView(boolean measured, String text) {}

    /** A slate on the bench. */
    public record SlateCard(
            String id,
            String title,
            String intent,
            String frameId,
            boolean hasPicture,
            double aspect,
            NextStepView next,
            int sheets,
            @Nullable String lastSheetId) {}
}
