package keyslate.server.attack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** What an attack found: numbers by name, and in words what went wrong. Used by several threads. */
final class Figures {
    private static final int MOST_FAULTS = 50;

    private final Map<String, Object> numbers = new LinkedHashMap<>();
    private final Map<String, List<Double>> samples = new LinkedHashMap<>();
    private final List<String> faults = new ArrayList<>();

    synchronized void put(String name, Object value) {
        numbers.put(name, value);
    }

    /** Names a count, so that it is there when nothing was counted. */
    synchronized void count(String name) {
        numbers.putIfAbsent(name, 0L);
    }

    synchronized void add(String name) {
        numbers.merge(name, 1L, (a, b) -> (Long) a + (Long) b);
    }

    /** Counts something that must not be, and keeps the first of its kind in words. */
    synchronized void fault(String name, String words) {
        add(name);
        if (faults.size() < MOST_FAULTS) {
            faults.add(name + ": " + words);
        }
    }

    synchronized void most(String name, OptionalDouble value) {
        if (value.isPresent()) {
            numbers.merge(name, value.getAsDouble(), (a, b) -> Math.max((Double) a, (Double) b));
        }
    }

    synchronized void sample(String name, double value) {
        samples.computeIfAbsent(name, n -> new ArrayList<>()).add(value);
    }

    /** Puts the value under which a share of the samples lies. */
    synchronized void percentile(String name, String of, double share) {
        List<Double> all = samples.getOrDefault(of, List.of()).stream().sorted().toList();
        if (!all.isEmpty()) {
            numbers.put(name, all.get((int) Math.min(all.size() - 1, Math.floor(share * all.size()))));
        }
    }

    synchronized long counted(String name) {
        return numbers.get(name) instanceof Long count ? count : 0;
    }

    synchronized Map<String, Object> numbers() {
        return new LinkedHashMap<>(numbers);
    }

    synchronized List<String> faults() {
        return List.copyOf(faults);
    }
}
