package keyslate.store.bench;

/** An enlarger with its lamp. {@code strengthLog10} is the light of DRK-02; lag in seconds per burst; column = greatest lens-to-paper distance. */
public record Enlarger(
        String id,
        String name,
        String head,
        double strengthLog10,
        double lagSeconds,
        String lagSource,
        double columnMm) {}
