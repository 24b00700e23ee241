package keyslate.store.bench;

/**
 * An enlarger with its lamp.
 *
 * @param head what its light comes through, in words
 * @param lamp SWITCHED, MY_TIMER or BURNS
 * @param dials whether the head has dials for a pack
 * @param strengthLog10 the light of DRK-02, 0 to 8
 * @param lagSeconds dead time of the lamp each time it goes on, 0 to 2; {@code lagSource} default, entered or measured
 * @param columnMm greatest distance from lens to paper; {@code columnSource} alike
 */
public record Enlarger(
        String id,
        String name,
        String head,
        String lamp,
        boolean dials,
        double strengthLog10,
        double lagSeconds,
        String lagSource,
        double columnMm,
        String columnSource) {}
