package keyslate.server.rig;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.store.json.StoredConstant;
import keyslate.store.json.StoredConstant.Place;

/** Filters and dials as constants: two places for each filter, its time and its R; up to three for the dials of a grade. The first place is that of the reference. */
public final class FilterConstants {
    private static final String RANGE = " R";
    private static final String YELLOW = " Y";
    private static final String MAGENTA = " M";
    private static final VariableContrastPaper PLAIN = new VariableContrastPaper();

    private FilterConstants() {}

    /** A table as it is stored. */
    public static StoredConstant of(FilterTable table) {
        List<Place> places = new ArrayList<>();
        if (table.isEmpty()) {
            return new StoredConstant(null, null, null, places, null);
        }
        add(places, table, table.reference());
        table.entries().keySet().stream()
                .sorted()
                .filter(f -> f != table.reference())
                .forEach(f -> add(places, table, f));
        return new StoredConstant(null, null, null, places, null);
    }

    private static void add(List<Place> places, FilterTable table, GradeFilter filter) {
        FilterTable.Entry entry = table.of(filter).orElseThrow();
        places.add(new Place(filter.written(), entry.whitesLog(), entry.limitStops()));
        places.add(new Place(filter.written() + RANGE, entry.isoRange(), entry.limitRange()));
    }

    /**
     * A stored table.
     *
     * @throws QuantityException for one that is not complete
     */
    public static FilterTable table(StoredConstant value) {
        Map<String, Place> places = value.places() == null
                ? Map.of()
                : value.places().stream().collect(Collectors.toMap(Place::at, Function.identity(), (a, b) -> b));
        Map<GradeFilter, FilterTable.Entry> entries = new EnumMap<>(GradeFilter.class);
        GradeFilter reference = null;
        for (Place place : value.places() == null ? List.<Place>of() : value.places()) {
            if (place.at().endsWith(RANGE)) {
                continue;
            }
            GradeFilter filter = filter(place.at());
            Place range = places.get(place.at() + RANGE);
            if (range == null) {
                throw Check.infeasible("filters", "the range of " + place.at() + " is missing");
            }
            reference = reference == null ? filter : reference;
            entries.put(filter, new FilterTable.Entry(place.value(), place.limit(), range.value(), range.limit()));
        }
        return reference == null ? FilterTable.NOTHING : new FilterTable(reference, entries);
    }

    private static GradeFilter filter(String written) {
        return GradeFilter.ofLabel(written.replaceFirst("^grade ", ""));
    }

    /** Dials as they are stored: the way, and rows of one's own. */
    public static StoredConstant of(HeadTable head) {
        List<Place> places = new ArrayList<>();
        if (head.way() == HeadTable.Way.OWN) {
            head.settings().keySet().stream().sorted().forEach(filter -> {
                ColourHead.Setting s = head.settings().get(filter);
                places.add(new Place(filter.written(), s.timeFactor(), 0));
                places.add(new Place(filter.written() + YELLOW, s.yellow(), 0));
                places.add(new Place(filter.written() + MAGENTA, s.magenta(), 0));
            });
        }
        return new StoredConstant((double) head.way().ordinal(), 0.0, null, places, null);
    }

    /** Stored dials. */
    public static HeadTable head(StoredConstant value) {
        HeadTable.Way[] ways = HeadTable.Way.values();
        int way = value.value() == null ? 0 : (int) Math.round(value.value());
        Check.within("way of the dials", way, 0, ways.length - 1, "");
        if (ways[way] != HeadTable.Way.OWN) {
            return HeadTable.generic(PLAIN, ways[way]);
        }
        Map<String, Double> at =
                value.places().stream().collect(Collectors.toMap(Place::at, Place::value, (a, b) -> b));
        Map<GradeFilter, ColourHead.Setting> settings = new EnumMap<>(GradeFilter.class);
        at.forEach((name, factor) -> {
            if (!name.endsWith(YELLOW) && !name.endsWith(MAGENTA)) {
                settings.put(
                        filter(name),
                        new ColourHead.Setting(
                                Optional.ofNullable(at.get(name + YELLOW)).orElse(0.0),
                                Optional.ofNullable(at.get(name + MAGENTA)).orElse(0.0),
                                factor));
            }
        });
        return new HeadTable(HeadTable.Way.OWN, settings);
    }
}
