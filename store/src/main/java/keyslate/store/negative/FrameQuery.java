package keyslate.store.negative;

import java.util.List;
import java.util.Set;

/**
 * What is looked for among frames; null or empty means whatever.
 *
 * @param words each must stand somewhere in what is written of the frame, its roll or its slates
 * @param rating PRINT, MAYBE, NO, or NONE for those that nobody has decided
 * @param printed whether a print of it was accepted
 * @param film of its roll
 * @param paper name of a paper that one of its slates stands on
 * @param sides of the sheet that one of its slates stands on, mm
 * @param fromDay first day of the film, as 2026-11-26; {@code toDay} the last
 * @param lights one of them stands on one of its slates; null = whatever
 */
public record FrameQuery(
        List<String> words,
        String rating,
        Boolean printed,
        String film,
        String paper,
        Sides sides,
        String fromDay,
        String toDay,
        Set<String> lights) {
    /** Rating of a frame that nobody has decided. */
    public static final String UNRATED = "NONE";

    /** Sides of a sheet, either way round. */
    public record Sides(double longMm, double shortMm) {}
}
