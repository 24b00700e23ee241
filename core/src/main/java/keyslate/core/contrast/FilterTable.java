package keyslate.core.contrast;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import keyslate.core.quantity.Check;

/**
 * What is known of the filters of one set under one lamp on one paper: by how much the time of each is longer than that of one of them, and how hard it prints. What stands
 * for no filter is a row like any other, so that the light that a filter costs and what it costs from grade to grade are two figures.
 *
 * @param reference the filter whose time is 1
 * @param entries by filter, the reference among them; empty = nothing is known
 * @param closed whether there is no other: the grades that a head reaches
 */
public record FilterTable(GradeFilter reference, Map<GradeFilter, Entry> entries, boolean closed) {
    /** A paper answers to no light outside these. */
    private static final double HARDEST = 39;

    private static final double SOFTEST = 173;
    /** No filter costs more against another, log10: seven stops. */
    private static final double MOST_LOG = 2.1;

    /** Nothing was measured or learned. */
    public static final FilterTable NOTHING = new FilterTable(GradeFilter.G2, Map.of(), false);

    /**
     * A filter.
     *
     * @param whitesLog log10 of its time over the reference's for whites that just hold (net 0.04)
     * @param limitStops of that, 95 %; 0 of the reference
     * @param isoRange R it prints with
     * @param limitRange of that, 95 %
     */
    public record Entry(double whitesLog, double limitStops, double isoRange, double limitRange) {
        public Entry {
            Check.within("factor", whitesLog, -MOST_LOG, MOST_LOG, "log10");
            Check.notNegative("limit", limitStops, "stops");
            isoRange = Math.max(HARDEST, Math.min(SOFTEST, Check.positive("ISO range", isoRange, "")));
            Check.notNegative("limit", limitRange, "");
        }
    }

    public FilterTable {
        entries = Map.copyOf(entries);
        if (!entries.isEmpty() && !entries.containsKey(reference)) {
            throw Check.outOfRange("reference", "the filter that others are compared with must be one of them");
        }
    }

    /** Of a set that others may belong to. */
    public FilterTable(GradeFilter reference, Map<GradeFilter, Entry> entries) {
        this(reference, entries, false);
    }

    public Optional<Entry> of(GradeFilter filter) {
        return Optional.ofNullable(entries.get(filter));
    }

    public boolean isEmpty() {
        return entries.isEmpty();
    }

    /** This where it knows a filter, else the other, compared with one filter that both know; where there is none the other alone. */
    public FilterTable over(FilterTable other) {
        if (isEmpty() || other.isEmpty()) {
            return isEmpty() ? other : this;
        }
        Optional<FilterTable> same = other.against(reference);
        if (same.isEmpty()) {
            return against(other.reference).map(t -> t.over(other)).orElse(other);
        }
        Map<GradeFilter, Entry> both = new EnumMap<>(GradeFilter.class);
        both.putAll(same.get().entries);
        both.putAll(entries);
        return new FilterTable(reference, both, closed || other.closed);
    }

    /**
     * By how much more the filters that it knows cost than was thought, where they are told against no filter: what putting one in costs is the same for all of a set, so that those it does not know
     * move along; 0 where they are told against one another.
     *
     * @param thought log10 of the time of a filter over no filter's, whites
     * @return log10
     */
    public double filterIn(ToDoubleFunction<GradeFilter> thought) {
        return reference != GradeFilter.NONE
                ? 0
                : entries.entrySet().stream()
                        .filter(e -> e.getKey() != GradeFilter.NONE)
                        .mapToDouble(e -> e.getValue().whitesLog() - thought.applyAsDouble(e.getKey()))
                        .average()
                        .orElse(0);
    }

    /** The same with every R moved. */
    FilterTable turnedOut(ToDoubleFunction<GradeFilter> softer) {
        Map<GradeFilter, Entry> moved = new EnumMap<>(GradeFilter.class);
        entries.forEach((filter, e) -> moved.put(
                filter,
                new Entry(e.whitesLog(), e.limitStops(), e.isoRange() + softer.applyAsDouble(filter), e.limitRange())));
        return new FilterTable(reference, moved, closed);
    }

    /** The same compared with another of its filters; none where that one is not known. */
    public Optional<FilterTable> against(GradeFilter other) {
        return of(other).map(to -> {
            Map<GradeFilter, Entry> moved = new EnumMap<>(GradeFilter.class);
            entries.forEach((filter, e) -> moved.put(
                    filter,
                    new Entry(
                            e.whitesLog() - to.whitesLog(),
                            filter == other ? 0 : Math.hypot(e.limitStops(), to.limitStops()),
                            e.isoRange(),
                            e.limitRange())));
            return new FilterTable(other, moved, closed);
        });
    }
}
