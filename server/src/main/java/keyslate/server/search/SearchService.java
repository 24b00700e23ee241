package keyslate.server.search;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import keyslate.core.light.Light;
import keyslate.core.light.LightRange;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.server.negative.RollService;
import keyslate.server.search.SearchViews.FoundPage;
import keyslate.server.search.SearchViews.SearchChoices;
import keyslate.server.search.SearchViews.SheetSize;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.negative.Frame;
import keyslate.store.negative.FrameQuery;
import keyslate.store.negative.FrameSearch;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reads what is looked for, and finds it. */
@Service
public class SearchService {
    private static final int PAGE = 24;
    private static final int MOST_WORDS = 8;
    private static final Set<String> RATINGS = Set.of(Frame.PRINT, Frame.MAYBE, Frame.NO, FrameQuery.UNRATED);
    private static final Pattern SIZE = Pattern.compile("(\\d{1,4}(?:\\.\\d{1,2})?)x(\\d{1,4}(?:\\.\\d{1,2})?)");

    private final Database database;
    private final FrameSearch search;
    private final RollService rolls;

    SearchService(Database database, FrameSearch search, RollService rolls) {
        this.database = database;
        this.search = search;
        this.rolls = rolls;
    }

    /** What is looked for, as it was asked. */
    record Asked(
            @Nullable String words,
            @Nullable String rating,
            @Nullable Boolean printed,
            @Nullable String film,
            @Nullable String paper,
            @Nullable String size,
            @Nullable String fromDay,
            @Nullable String toDay,
            @Nullable String lightFrom,
            @Nullable String lightTo) {}

    FoundPage find(Asked asked, int skipped) {
        Check.count("skipped", skipped, 0, Integer.MAX_VALUE);
        return database.inSnapshot(() -> {
            FrameQuery query = read(asked);
            FrameSearch.Found found = search.find(query, skipped, PAGE);
            return new FoundPage(rolls.views(found.frames()), found.count());
        });
    }

    SearchChoices choices() {
        return database.inSnapshot(() -> new SearchChoices(
                search.films(),
                search.papers(),
                search.sizes().stream().map(SearchService::view).toList()));
    }

    private static SheetSize view(FrameQuery.Sides s) {
        return new SheetSize(
                String.format(Locale.ROOT, "%sx%s", plain(s.longMm()), plain(s.shortMm())),
                String.format(Locale.ROOT, "%s × %s mm", plain(s.longMm()), plain(s.shortMm())));
    }

    private static String plain(double mm) {
        return mm == Math.rint(mm) ? Long.toString((long) mm) : String.format(Locale.ROOT, "%.1f", mm);
    }

    private FrameQuery read(Asked asked) {
        FieldErrors errors = new FieldErrors();
        String words = Texts.checked(errors, "/words", asked.words(), 0, 200);
        List<String> each =
                Arrays.stream(words.split("\\s+")).filter(w -> !w.isEmpty()).toList();
        if (each.size() > MOST_WORDS) {
            errors.add("/words", "E_RANGE", "Look for at most " + MOST_WORDS + " words at once.");
        }
        String rating = given(asked.rating());
        if (rating != null && !RATINGS.contains(rating)) {
            errors.add("/rating", "E_SHAPE", "A frame is to be printed, maybe, not, or not decided.");
        }
        FrameQuery query = new FrameQuery(
                each,
                rating,
                asked.printed(),
                given(asked.film()),
                given(asked.paper()),
                sides(errors, given(asked.size())),
                day(errors, "/fromDay", given(asked.fromDay())),
                day(errors, "/toDay", given(asked.toDay())),
                lights(errors, given(asked.lightFrom()), given(asked.lightTo())));
        errors.throwIfAny();
        return query;
    }

    private static @Nullable String given(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    private static FrameQuery.@Nullable Sides sides(FieldErrors errors, @Nullable String size) {
        if (size == null) {
            return null;
        }
        Matcher written = SIZE.matcher(size);
        if (!written.matches()) {
            errors.add("/size", "E_SHAPE", "A size is two sides in millimetres, such as 254x203.");
            return null;
        }
        double a = Double.parseDouble(written.group(1));
        double b = Double.parseDouble(written.group(2));
        return new FrameQuery.Sides(Math.max(a, b), Math.min(a, b));
    }

    private static @Nullable String day(FieldErrors errors, String pointer, @Nullable String day) {
        if (day == null) {
            return null;
        }
        try {
            return LocalDate.parse(day).toString();
        } catch (DateTimeParseException e) {
            errors.add(pointer, "E_SHAPE", "Write the day as year-month-day, such as 2026-05-17.");
            return null;
        }
    }

    /** Of the lights that stand on slates, those in a range; one end alone is that light alone. */
    private @Nullable Set<String> lights(FieldErrors errors, @Nullable String from, @Nullable String to) {
        if (from == null && to == null) {
            return null;
        }
        Light first = light(errors, from == null ? "/lightTo" : "/lightFrom", from == null ? to : from);
        Light last = to == null ? first : light(errors, "/lightTo", to);
        if (first == null || last == null) {
            return null;
        }
        LightRange range;
        try {
            range = new LightRange(first, last);
        } catch (QuantityException e) {
            errors.add("/lightTo", e.kind().code(), e.getMessage());
            return null;
        }
        return search.lights().stream().filter(l -> range.contains(Light.of(l))).collect(Collectors.toSet());
    }

    private static @Nullable Light light(FieldErrors errors, String pointer, String written) {
        return errors.check(pointer, null, () -> Light.of(written));
    }
}
