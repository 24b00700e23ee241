package keyslate.store.slate;

/** One step of a sheet's script as it was frozen when the sheet was begun; held = JSON list of area keys. */
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
