package keyslate.store.json;

import java.util.List;
import org.jspecify.annotations.Nullable;

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
 * @param says of a kit of viewing filters: what stands on them, STRENGTH or CORRECTION
 * @param strengths of a kit: the points that stand on its filters, the weakest first
 * @param formerNames of a kit: what was looked through it then stands under one of them
 */
public record StoredFacts(
        @Nullable Double longMm,
        @Nullable Double shortMm,
        @Nullable Double bordersFixedMm,
        @Nullable String place,
        @Nullable Double timeFactor,
        @Nullable Integer pieces,
        @Nullable String feed,
        @Nullable String darkUntil,
        @Nullable Double kelvin,
        @Nullable String says,
        @Nullable List<Double> strengths,
        @Nullable List<String> formerNames) {
    public StoredFacts {
        strengths = strengths == null ? null : List.copyOf(strengths);
        formerNames = formerNames == null ? null : List.copyOf(formerNames);
    }

    /** The same of a kit that was called otherwise. */
    public StoredFacts formerly(List<String> names) {
        return new StoredFacts(
                longMm,
                shortMm,
                bordersFixedMm,
                place,
                timeFactor,
                pieces,
                feed,
                darkUntil,
                kelvin,
                says,
                strengths,
                names.isEmpty() ? null : names);
    }
}
