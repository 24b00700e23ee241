package keyslate.server.medium;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.colour.FilterSet;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.medium.Colour;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Grade;
import keyslate.server.medium.MediumPart.Mark;
import keyslate.server.medium.MediumPart.Station;
import keyslate.store.bench.Paper;
import org.springframework.stereotype.Component;

/** The kinds of paper there are. A new one is one more line here, its medium in the core and its reader of strips. */
@Component
public class Media {
    private static final Station CHOOSE = new Station("1", "choose", "Choose", "dry");
    private static final Station SET_UP = new Station("2", "setup", "Set up", "dry");
    private static final Station TEST = new Station("3", "test", "Test", "dark");
    private static final Station CONTRAST = new Station("4", "contrast", "Contrast", "dark");
    private static final Station COLOUR = new Station("4", "colour", "Colour", "dark");
    private static final Station SHAPE = new Station("5", "shape", "Shape", "dark");
    private static final Station PRINT = new Station("6", "print", "Print", "wet");
    private static final Station JUDGE = new Station("8", "judge", "Judge", "light");
    private static final Station KEEP = new Station("9", "keep", "Keep", "light");

    private static final Mark WHITES =
            new Mark("whitesAt", "w", "Whites hold at", "whites hold", "the patch where the whites just hold", false);
    private static final Mark BLACKS =
            new Mark("blacksAt", "k", "First true black at", "first black", "the first true black", true);
    private static final Mark MIDDLE =
            new Mark("rightAt", "m", "Middle right at", "middle right", "the patch whose middle tone is right", false);
    private static final Mark RIGHT = new Mark(
            "rightAt",
            "d",
            "Right density at",
            "right density",
            "the patch with the right density, whatever its colour",
            false);

    private static final int MOST_CALIBRATED = 60;

    private final Map<String, MediumPart> parts;
    private final Map<FilterTable, MediumPart> calibrated = new ConcurrentHashMap<>();

    Media(VariableContrastPaper paper) {
        this.parts = Stream.of(
                        new MediumPart(
                                new Monochrome(paper),
                                List.of(CHOOSE, SET_UP, TEST, CONTRAST, SHAPE, PRINT, JUDGE, KEEP),
                                MediumPart.SAFELIGHT,
                                "Filter",
                                Stream.concat(GradeFilter.set().stream(), Stream.of(GradeFilter.NONE))
                                        .map(Light::filter)
                                        .map(Light::notation)
                                        .toList(),
                                List.of(WHITES, BLACKS, MIDDLE),
                                true),
                        new MediumPart(
                                new Colour(FilterSet.DICHROIC),
                                List.of(CHOOSE, SET_UP, TEST, COLOUR, SHAPE, PRINT, JUDGE, KEEP),
                                MediumPart.BLACKOUT,
                                "Filter pack",
                                List.of(),
                                List.of(RIGHT),
                                false))
                .collect(Collectors.toMap(MediumPart::id, Function.identity()));
    }

    /** The same where its filters are known better than by their names. */
    private MediumPart of(String kind, FilterTable filters) {
        MediumPart plain = parts.get(kind);
        if (filters.isEmpty() || plain == null || !(plain.core() instanceof Monochrome mono)) {
            return plain;
        }
        return kept(filters, f -> plain.with(mono.through(new VariableContrastPaper(f))));
    }

    /** A paper as it is known: graded paper by what was found of its range, else by its grade; the other kinds with what is known of their filters. */
    public MediumPart of(Paper paper, FilterTable filters) {
        if (!paper.hasOneGrade() || !(parts.get(paper.kind()).core() instanceof Monochrome)) {
            return of(paper.kind(), filters);
        }
        FilterTable.Entry range = filters.of(GradeFilter.NONE)
                .orElseGet(() -> new FilterTable.Entry(
                        0,
                        0,
                        GradeScale.isoRangeOf(Grade.of(paper.grade())),
                        VariableContrastPaper.GRADED_LIMIT_RANGE));
        VariableContrastPaper graded = VariableContrastPaper.ofOneGrade(range.isoRange(), range.limitRange());
        return kept(graded.measured(), f -> parts.get(paper.kind()).with(new Monochrome(graded)));
    }

    /** Colour paper on a head of which this is known. */
    public MediumPart on(Colour.Head head) {
        MediumPart plain = parts.get(Colour.ID);
        return plain.core() instanceof Colour colour && !colour.isOn(head) ? plain.with(colour.on(head)) : plain;
    }

    private MediumPart kept(FilterTable filters, Function<FilterTable, MediumPart> made) {
        if (calibrated.size() >= MOST_CALIBRATED) {
            calibrated.clear();
        }
        return calibrated.computeIfAbsent(filters, made);
    }

    /** The kind of a paper, by its name in the store. */
    public MediumPart of(String kind) {
        return parts.get(kind);
    }

    public Collection<MediumPart> all() {
        return parts.values();
    }

    public boolean knows(String kind) {
        return parts.containsKey(kind);
    }
}
