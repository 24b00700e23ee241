package keyslate.server.stores;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import keyslate.store.bench.StoresRepository;
import keyslate.store.bench.Thing;

/** Which of the carriers, easels and drums on the shelf takes a negative, a sheet or its pieces. */
public final class Holders {
    private static final double SLACK_MM = 0.5;

    private final List<Thing> carriers;
    private final List<Thing> easels;
    private final List<Thing> drums;

    private Holders(List<Thing> things) {
        carriers = sized(things, ThingKind.CARRIER);
        easels = sized(things, ThingKind.EASEL);
        drums = things.stream()
                .filter(t -> ThingKind.valueOf(t.kind()) == ThingKind.DRUM)
                .filter(t -> t.facts().pieces() != null)
                .toList();
    }

    public static Holders of(StoresRepository stores) {
        return new Holders(stores.things());
    }

    private static List<Thing> sized(List<Thing> things, ThingKind kind) {
        return things.stream()
                .filter(t -> ThingKind.valueOf(t.kind()) == kind)
                .filter(t -> t.facts().longMm() != null && t.facts().shortMm() != null)
                .toList();
    }

    /** Whether any carrier was entered with its window. */
    public boolean hasCarriers() {
        return !carriers.isEmpty();
    }

    /** Whether any easel was entered with its size. */
    public boolean hasEasels() {
        return !easels.isEmpty();
    }

    /**
     * A drum that pieces are processed in.
     *
     * @param pieces it holds at once
     */
    public record Drum(String name, int pieces) {}

    /** The drum on the shelf of which it is known how many pieces it holds. */
    public Optional<Drum> drum() {
        return drums.stream().map(t -> new Drum(t.name(), t.facts().pieces())).findFirst();
    }

    /** The smallest carrier whose window is no smaller than the negative. */
    public Optional<String> carrier(double widthMm, double heightMm) {
        return smallest(carriers.stream().filter(t -> takes(t, widthMm, heightMm)));
    }

    /** The smallest easel that takes the sheet and covers no more of it than its narrowest border. */
    public Optional<String> easel(double widthMm, double heightMm, double narrowestBorderMm) {
        return smallest(easels.stream()
                .filter(t -> takes(t, widthMm, heightMm))
                .filter(t -> t.facts().bordersFixedMm() == null
                        || narrowestBorderMm >= t.facts().bordersFixedMm() - SLACK_MM));
    }

    /** The narrowest border that a fixed easel for the sheet covers; none where none takes it. */
    public OptionalDouble fixedBorder(double widthMm, double heightMm) {
        return easels.stream()
                .filter(t -> takes(t, widthMm, heightMm))
                .map(t -> t.facts().bordersFixedMm())
                .filter(Objects::nonNull)
                .mapToDouble(b -> b)
                .min();
    }

    private static Optional<String> smallest(Stream<Thing> things) {
        return things.min(Comparator.comparingDouble(
                        t -> t.facts().longMm() * t.facts().shortMm()))
                .map(Thing::name);
    }

    private static boolean takes(Thing holder, double widthMm, double heightMm) {
        double a = holder.facts().longMm();
        double b = holder.facts().shortMm();
        return Math.max(a, b) >= Math.max(widthMm, heightMm) - SLACK_MM
                && Math.min(a, b) >= Math.min(widthMm, heightMm) - SLACK_MM;
    }
}
