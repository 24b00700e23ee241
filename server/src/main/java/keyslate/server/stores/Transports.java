package keyslate.server.stores;

import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Length;
import keyslate.core.size.Transport;
import keyslate.store.bench.Thing;

/** Drums and machines on the shelf whose size is known. */
public final class Transports {
    private Transports() {}

    /** A drum or a machine by its name. */
    public record Named(String name, Transport transport) {}

    public static List<Named> of(List<Thing> shelf) {
        return shelf.stream()
                .filter(t -> ThingKind.valueOf(t.kind()).isWet())
                .filter(t -> t.facts().longMm() != null && t.facts().shortMm() != null)
                .map(t -> new Named(
                        t.name(),
                        new Transport(
                                Length.ofMm(t.facts().longMm()),
                                Length.ofMm(t.facts().shortMm()),
                                Optional.ofNullable(t.facts().pieces()),
                                Optional.ofNullable(t.facts().feed()).map(Transport.Lead::valueOf))))
                .toList();
    }
}
