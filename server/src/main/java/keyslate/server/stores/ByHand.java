package keyslate.server.stores;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import keyslate.server.Show;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.StoresRepository;
import keyslate.store.bench.Thing;
import org.springframework.stereotype.Component;

/** What of the things on the shelves is looked at by hand before paper comes out: once an evening, with what its owner's tests say. */
@Component
public final class ByHand {
    private final StoresRepository stores;
    private final ConstantRepository constants;

    ByHand(StoresRepository stores, ConstantRepository constants) {
        this.stores = stores;
        this.constants = constants;
    }

    /** One line for each thing that counts, in full dark or by safelight. */
    public List<String> lines(boolean fullDark) {
        List<Thing> things = stores.things();
        if (things.isEmpty()) {
            return List.of();
        }
        Map<String, Double> minutes = constants
                .of(things.stream().map(Thing::id).toList())
                .stream()
                .collect(Collectors.toMap(Constant::thingId, c -> c.value().value(), (a, b) -> a));
        List<String> lines = new ArrayList<>();
        for (Thing thing : things) {
            String tested = minutes.containsKey(thing.id())
                    ? " for " + Show.number(minutes.get(thing.id())) + " min, by your test"
                    : "";
            switch (ThingKind.valueOf(thing.kind())) {
                case SAFELIGHT -> {
                    if (fullDark) {
                        lines.add(thing.name() + " off");
                    } else {
                        lines.add(thing.name() + (tested.isEmpty() ? ": never tested" : ": safe" + tested));
                    }
                }
                case ROOM -> lines.add(thing.name() + " dark" + (tested.isEmpty() ? ": never tested for fog" : tested));
                case SCREEN -> {
                    if (fullDark) {
                        lines.add(thing.name()
                                + (tested.isEmpty() ? " covered: never tested with a coin" : ": no mark" + tested));
                    }
                }
                case DRUM, MACHINE -> lines.add(thing.name() + words(thing));
                case FILTER_SET -> lines.add(thing.name() + " clean, covering the beam");
                case EASEL, CARRIER, VIEWING_KIT, VIEWING_LIGHT -> {
                    // Named where a size or a colour is judged with them.
                }
            }
        }
        return lines;
    }

    private static String words(Thing thing) {
        List<String> words = new ArrayList<>();
        words.add(" dry");
        ThingKind.says(thing.facts()).stream()
                .filter(w -> w.contains("first") || w.startsWith("dark until"))
                .forEach(words::add);
        return String.join(", ", words);
    }
}
