package keyslate.store.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.store.json.StoredFacts;
import org.jspecify.annotations.Nullable;

/**
 * A kit of viewing filters.
 *
 * @param name the only one of its name in whatever case, among those that are retired as well
 * @param formerNames under which looks through it may stand
 * @param says what stands on its filters: STRENGTH or CORRECTION; null where nobody said
 * @param strengths points that stand on them, the weakest first; empty where nobody said
 */
public record Kit(
        String id,
        String name,
        List<String> formerNames,
        @Nullable String says,
        List<Double> strengths) {
    public static final String KIND = "VIEWING_KIT";
    public static final String STRENGTH = "STRENGTH";
    public static final String CORRECTION = "CORRECTION";

    public Kit {
        formerNames = List.copyOf(formerNames);
        strengths = List.copyOf(strengths);
    }

    static Kit of(Thing thing) {
        StoredFacts facts = thing.facts();
        return new Kit(
                thing.id(),
                thing.name(),
                Optional.ofNullable(facts.formerNames()).orElse(List.of()),
                facts.says(),
                Optional.ofNullable(facts.strengths()).orElse(List.of()));
    }

    /** All names it has or had, the present one first. */
    public List<String> names() {
        return Stream.concat(Stream.of(name), formerNames.stream()).toList();
    }

    /** Whether it is called so, or was. */
    public boolean isCalled(String other) {
        return names().stream().anyMatch(other::equalsIgnoreCase);
    }
}
