package keyslate.store.slate;

/**
 * One step of a sheet's script as it was frozen when the sheet was begun.
 *
 * @param place from 1
 * @param kind PATCH, BASE or BURN
 * @param filter label of the filter
 * @param setSeconds what the timer is set to, above 0; {@code receivedSeconds} what the paper gets of it, lag taken off
 * @param patch number of the patch, from 1, else null; {@code patchTotalSeconds} what it has after this burst
 * @param held JSON list of the keys of the areas held back all through it
 * @param burned key of the area burned, else null
 */
public record Burst(
        String sheetId,
        int place,
        String kind,
        String filter,
        double setSeconds,
        double receivedSeconds,
        Integer patch,
        Double patchTotalSeconds,
        String held,
        String burned) {}
