package keyslate.store.slate;

import java.util.List;

/**
 * All that is set for the next sheet. Never changed: an edit makes a new recipe that follows it, which is what undo walks
 * back along and what an exposed sheet keeps.
 */
public record Recipe(
        String id,
        String slateId,
        String previousId,
        String madeAt,
        String edit,
        String title,
        String intent,
        Setup setup,
        Strip strip,
        List<Area> areas) {
    public Recipe {
        areas = List.copyOf(areas);
    }

    /** The same recipe with other areas. */
    public Recipe withAreas(List<Area> other) {
        return new Recipe(id, slateId, previousId, madeAt, edit, title, intent, setup, strip, other);
    }

    /** What stands on the enlarger; lengths in millimetres, filter by label. */
    public record Setup(
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
            String baseBecause) {
        /** The same set-up with another time, seconds, and where it comes from. */
        public Setup withTime(double seconds, String source, String because) {
            return with(filter, seconds, source, because);
        }

        /** The same set-up with another filter, by its label. */
        public Setup withFilter(String label) {
            return with(label, baseSeconds, baseSource, baseBecause);
        }

        private Setup with(String label, double seconds, String source, String because) {
            return new Setup(
                    enlargerId,
                    lensId,
                    apertureMark,
                    paperId,
                    sheetWidthMm,
                    sheetHeightMm,
                    borderMm,
                    fit,
                    cropPlace,
                    label,
                    seconds,
                    source,
                    because);
        }
    }

    /** The next test strip; a null centre follows the base exposure, a null place is chosen by computation. */
    public record Strip(
            String kind,
            Double centreSeconds,
            double stepStops,
            double stepSeconds,
            int patches,
            String direction,
            double patchMm,
            double breadthMm,
            Double place) {
        /** The same strip about the base exposure. */
        public Strip followingBase() {
            return new Strip(kind, null, stepStops, stepSeconds, patches, direction, patchMm, breadthMm, place);
        }
    }
}
