package keyslate.store.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The kits of viewing filters on the shelf. */
public final class KitRepository {
    private static final String IN_HAND = "KIT";

    private final StoresRepository stores;

    public KitRepository(StoresRepository stores) {
        this.stores = stores;
    }

    /** Those in use: the one in hand first, then the one that came last. */
    public List<Kit> all() {
        String inHand = stores.preference(IN_HAND).orElse("");
        List<Kit> kits = kits(stores.things());
        return Stream.concat(
                        kits.stream().filter(kit -> kit.id().equals(inHand)),
                        IntStream.range(0, kits.size())
                                .mapToObj(i -> kits.get(kits.size() - 1 - i))
                                .filter(kit -> !kit.id().equals(inHand)))
                .toList();
    }

    /** Those in use and those that are retired. */
    public List<Kit> alsoRetired() {
        return kits(stores.thingsOf(Kit.KIND));
    }

    /** The kit that is called so or was, in whatever case, in use or retired; one that is called so goes first. */
    public Optional<Kit> find(String name) {
        return of(alsoRetired(), name);
    }

    /** The same among some. */
    public static Optional<Kit> of(List<Kit> kits, String name) {
        List<Kit> called = kits.stream().filter(kit -> kit.isCalled(name)).toList();
        return called.stream()
                .filter(kit -> kit.name().equalsIgnoreCase(name))
                .findFirst()
                .or(() -> called.stream().findFirst());
    }

    private static List<Kit> kits(List<Thing> things) {
        return things.stream()
                .filter(thing -> Kit.KIND.equals(thing.kind()))
                .map(Kit::of)
                .toList();
    }

    /** Takes a kit in hand. */
    public void take(String id) {
        stores.prefer(IN_HAND, id);
    }
}
