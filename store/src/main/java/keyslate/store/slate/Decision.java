package keyslate.store.slate;

/** A reading, a judgement or an acceptance, with the verdict as it was shown and what was taken. */
public record Decision(
        String id,
        String slateId,
        String sheetId,
        String kind,
        String madeAt,
        Double whitesAt,
        Double blacksAt,
        Double darkerStops,
        Double harderGrades,
        String remark,
        String headline,
        String why,
        String proposedFilter,
        Double proposedSeconds,
        boolean overruled,
        String takenFilter,
        Double takenSeconds) {}
