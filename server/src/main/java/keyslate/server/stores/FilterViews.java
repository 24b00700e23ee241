package keyslate.server.stores;

import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.server.rig.Constants.Name;
import keyslate.server.rig.FilterConstants;
import keyslate.server.stores.StoresViews.ConstantView;
import keyslate.store.bench.Constant;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Paper;

/** Filters and dials in words. */
final class FilterViews {
    private static final double STOP = Math.log10(2);

    private FilterViews() {}

    /** What slates told of the filters of an enlarger on a paper. */
    @FunctionalInterface
    interface Told {
        Optional<ConstantView> of(Paper paper, Enlarger enlarger);
    }

    /** As it was learned, with how many slates told it; nothing where none did. */
    static Optional<ConstantView> learned(FilterTable table, int slates, Enlarger enlarger) {
        if (table.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new ConstantView(
                Name.LEARNED.name(),
                "Filters in " + enlarger.name() + ", from " + (slates == 1 ? "one slate" : slates + " slates"),
                text(table),
                limit(table),
                "learned",
                null,
                null,
                enlarger.id()));
    }

    static ConstantView of(Constant c) {
        FilterTable table = FilterConstants.table(c.value());
        return ConstantViews.found(
                c,
                table.entries().size() == 1 ? "Range" : "Filters, time and range",
                text(table),
                table.isEmpty() ? null : limit(table));
    }

    /** Of one light alone its range's, for its time is compared with none; else the widest of the times. */
    private static String limit(FilterTable table) {
        return table.entries().size() == 1
                ? String.format(
                        Locale.ROOT,
                        "± %.0f",
                        table.of(table.reference()).orElseThrow().limitRange())
                : String.format(
                        Locale.ROOT,
                        "± %.2f stop",
                        table.entries().values().stream()
                                .mapToDouble(FilterTable.Entry::limitStops)
                                .max()
                                .orElse(0));
    }

    /** Each filter against the reference. */
    static String text(FilterTable table) {
        String others = table.entries().entrySet().stream()
                .filter(e -> e.getKey() != table.reference())
                .sorted(Comparator.comparing(Map.Entry::getKey))
                .map(e -> String.format(
                                Locale.ROOT,
                                "%s %+.2f stop, R %.0f",
                                e.getKey().written(),
                                e.getValue().whitesLog() / STOP,
                                e.getValue().isoRange())
                        .replace('-', '−'))
                .reduce((a, b) -> a + "; " + b)
                .orElse("");
        double range =
                table.of(table.reference()).map(FilterTable.Entry::isoRange).orElse(0.0);
        return String.format(Locale.ROOT, "%s R %.0f", table.reference().written(), range)
                + (others.isEmpty() ? "" : "; " + others);
    }

    static ConstantView head(Constant c) {
        HeadTable head = FilterConstants.head(c.value());
        return ConstantViews.found(
                c,
                "Dials for each grade",
                way(head.way())
                        + head.softest()
                                .flatMap(s -> head.hardest().map(h -> ", " + label(s) + " to " + label(h)))
                                .orElse(""),
                null);
    }

    private static String label(GradeFilter filter) {
        return filter.label();
    }

    static String way(HeadTable.Way way) {
        return switch (way) {
            case SINGLE -> "one filter alone";
            case PAIRED -> "yellow and magenta paired";
            case CONSTANT_TIME -> "one time for all grades";
            case OWN -> "your own table";
        };
    }
}
