package keyslate.store.slate;

/**
 * A reading, a judgement or an acceptance, with the verdict as it was shown and what was taken.
 *
 * @param kind READING, JUDGEMENT or ACCEPTANCE
 * @param whitesAt of a reading: where the whites hold, in patches from the first (0), halves between two; blacks alike
 * @param darkerStops of a judgement: stops, positive = darker; {@code harderGrades} positive = harder
 * @param proposedSeconds seconds of the verdict; {@code takenSeconds} what was set
 * @param overruled whether something else than the verdict was taken
 */
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
