package keyslate.store.slate;

/**
 * A piece of paper that went under the lamp.
 *
 * @param number place on the cord of its slate, from 1
 * @param kind STRIP or PRINT
 * @param begunAt when it was taken from the box, ISO 8601 in UTC; {@code endedAt} when it was hung or given up, else null
 * @param state EXPOSING, HUNG or ABANDONED
 * @param paperUsed share of a sheet of the box, above 0
 * @param magnification times
 * @param viewLeft the part of the frame on it begins here, fraction of the frame's width; the other three alike
 * @param pictureId its scan, null without one
 * @param speedOffsetStops how much faster the paper acted than assumed, stops; null when the scan told nothing
 * @param note why it was given up, or empty
 */
public record Sheet(
        String id,
        String slateId,
        int number,
        String kind,
        String recipeId,
        String begunAt,
        String state,
        String endedAt,
        double paperUsed,
        double magnification,
        double viewLeft,
        double viewTop,
        double viewWidth,
        double viewHeight,
        String pictureId,
        Double speedOffsetStops,
        String note) {}
