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

    /**
     * What stands on the enlarger.
     *
     * @param apertureMark engraved number
     * @param sheetWidthMm long side of the sheet, 20 to 2000 mm; the short side alike
     * @param borderMm white border on each side, 0 to 200 mm
     * @param fit WHOLE_PICTURE or FILL_SHEET
     * @param cropPlace where the kept part lies when some is lost, 0 = left or top, 1 = right or bottom
     * @param filter label of the filter
     * @param baseSeconds base exposure as received, above 0 up to 36 000 s
     * @param baseSource default, rescaled, read, judged or own; {@code baseBecause} says it in words
     */
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

    /**
     * The next test strip.
     *
     * @param kind EQUAL_STOPS or EQUAL_SECONDS
     * @param centreSeconds centre of the series; null follows the base exposure
     * @param stepStops step between two patches, 1/24 to 3 stops, or {@code stepSeconds}, 0.1 to 600 s
     * @param patches 2 to 15
     * @param direction where the dark end lies: DARK_RIGHT, DARK_LEFT, DARK_BOTTOM or DARK_TOP
     * @param patchMm length of a patch along the strip; {@code breadthMm} the strip's breadth
     * @param place across the picture, 0 to 1; null is chosen by computation
     */
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
