package keyslate.store.bench;

import keyslate.store.json.StoredConstant;

/**
 * What was found of a thing.
 *
 * @param thingId an enlarger, a lens, a paper or another thing
 * @param lensId the lens it holds for, of filters on a paper the enlarger, of a batch the other box; "" where it holds for all
 * @param name LAG, EVENNESS, COLUMN, OPENINGS, PUPIL, DRY_DOWN, FILTERS, HEAD_TABLE and so on
 * @param foundAt ISO 8601 in UTC
 * @param source ENTERED or MEASURED
 * @param readings as they were taken, JSON; null where it was entered
 * @param undoneAt null while it counts
 */
public record Constant(
        String id,
        String thingId,
        String lensId,
        String name,
        String foundAt,
        String source,
        StoredConstant value,
        String readings,
        String remark,
        String undoneAt) {
    public static final String ENTERED = "ENTERED";
    public static final String MEASURED = "MEASURED";
}
