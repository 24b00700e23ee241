package keyslate.server.slate;

import java.util.List;
import keyslate.server.slate.SlateViews.AreaView;
import org.jspecify.annotations.Nullable;

/** What the page asks of a slate. {@code version} is the one the page last saw; an older one is refused. */
public final class SlateRequests {
    private SlateRequests() {}

    /** A slate for a frame. */
    public record NewSlate(
            @Nullable String frameId,
            @Nullable String title,
            @Nullable String intent) {}

    /** An edit of the standing recipe: only what is given changes. */
    public record RecipeChange(
            long version,
            @Nullable String title,
            @Nullable String intent,
            @Nullable String enlargerId,
            @Nullable String lensId,
            @Nullable Double apertureMark,
            @Nullable String paperId,
            @Nullable Double sheetWidthMm,
            @Nullable Double sheetHeightMm,
            @Nullable Double borderMm,
            @Nullable String fit,
            @Nullable Double cropPlace,
            @Nullable String filter,
            @Nullable Double baseSeconds,
            @Nullable Double baseChangeStops,
            @Nullable Boolean takeStartingTime,
            @Nullable String stripKind,
            @Nullable Double stripCentreSeconds,
            @Nullable Boolean stripFollowsBase,
            @Nullable Double stripStepStops,
            @Nullable Double stripStepSeconds,
            @Nullable Integer stripPatches,
            @Nullable String stripDirection,
            @Nullable Double stripPatchMm,
            @Nullable Double stripBreadthMm,
            @Nullable Double stripPlace,
            @Nullable Boolean stripPlacedByComputation,
            @Nullable Boolean stripForUnknownNegative,
            @Nullable List<AreaView> areas) {
        /** A change of nothing but the opening. */
        public static RecipeChange ofAperture(long version, double mark) {
            return new RecipeChange(
                    version, null, null, null, null, mark, null, null, null, null, null, null, null, null, null, null,
                    null, null, null, null, null, null, null, null, null, null, null, null, null);
        }

        /** A change of nothing but the areas. */
        public static RecipeChange ofAreas(long version, List<AreaView> areas) {
            return new RecipeChange(
                    version, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
                    null, null, null, null, null, null, null, null, null, null, null, null, areas);
        }
    }

    /** Nothing but the version: for undo, redo and the like. */
    public record AtVersion(long version) {}
}
