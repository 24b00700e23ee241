package keyslate.store.slate;

/** A piece of paper that went under the lamp. The view is the part of the frame on it, in fractions. */
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
