package keyslate.store.json;

/**
 * What a computation uses of a thing; null where it does not apply or was left open.
 *
 * @param longMm of the sheet an easel or a machine takes, of the film window of a carrier, or the wall of a drum along; {@code shortMm} across
 * @param bordersFixedMm of an easel without blades
 * @param place of a filter set: ABOVE_NEGATIVE, BELOW_LENS or HEAD
 * @param timeFactor by which it costs light as it is put in
 * @param pieces a drum holds at once
 * @param feed of a machine: which side goes in first, LONG or SHORT
 * @param darkUntil what ends the dark, in words
 * @param kelvin of a light
 */
public record StoredFacts(
        Double longMm,
        Double shortMm,
        Double bordersFixedMm,
        String place,
        Double timeFactor,
        Integer pieces,
        String feed,
        String darkUntil,
        Double kelvin) {}
