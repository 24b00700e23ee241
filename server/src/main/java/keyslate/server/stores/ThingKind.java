package keyslate.server.stores;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import keyslate.core.quantity.Check;
import keyslate.server.Show;
import keyslate.server.stores.StoresViews.Facts;
import keyslate.server.web.FieldErrors;
import keyslate.store.bench.Kit;
import keyslate.store.json.StoredFacts;
import org.jspecify.annotations.Nullable;

/** What stands on the shelves besides enlargers, lenses and paper, and which facts of each a computation uses. */
enum ThingKind {
    EASEL,
    CARRIER,
    FILTER_SET,
    VIEWING_KIT,
    DRUM,
    MACHINE,
    VIEWING_LIGHT,
    SAFELIGHT,
    /** The darkroom itself: how dark it is. */
    ROOM,
    /** A screen that stands in it: black still glows. */
    SCREEN;

    private static final double LEAST_MM = 5;
    private static final double MOST_MM = 3000;
    private static final List<String> PLACES =
            List.of(FilterPlaces.ABOVE_NEGATIVE, FilterPlaces.BELOW_LENS, FilterPlaces.HEAD);
    private static final List<String> FEEDS = List.of("LONG", "SHORT");
    private static final int LONGEST_WORDS = 80;

    private boolean hasSize() {
        return this == EASEL || this == CARRIER || this == DRUM || this == MACHINE;
    }

    boolean isWet() {
        return this == DRUM || this == MACHINE;
    }

    /** The facts that this kind has; each that cannot be is said at its field. */
    StoredFacts checked(FieldErrors errors, Facts asked) {
        return new StoredFacts(
                hasSize() ? size(errors, "/facts/longMm", asked.longMm()) : null,
                hasSize() ? size(errors, "/facts/shortMm", asked.shortMm()) : null,
                this == EASEL
                        ? within(errors, "/facts/bordersFixedMm", "border", asked.bordersFixedMm(), 0, 200, "mm")
                        : null,
                this == FILTER_SET ? oneOf(errors, "/facts/place", asked.place(), PLACES) : null,
                this == FILTER_SET
                        ? within(errors, "/facts/timeFactor", "factor", asked.timeFactor(), 0.1, 100, "")
                        : null,
                isWet() ? pieces(errors, asked.pieces()) : null,
                isWet() ? oneOf(errors, "/facts/feed", asked.feed(), FEEDS) : null,
                isWet() ? words(errors, asked.darkUntil()) : null,
                this == VIEWING_LIGHT
                        ? within(errors, "/facts/kelvin", "colour temperature", asked.kelvin(), 1500, 20_000, "K")
                        : null,
                this == VIEWING_KIT ? oneOf(errors, "/facts/says", asked.says(), KitChecks.SAYS) : null,
                this == VIEWING_KIT && asked.strengths() != null
                        ? KitChecks.strengths(errors, "/facts/strengths", asked.strengths())
                        : null,
                null);
    }

    private static @Nullable Double size(FieldErrors errors, String pointer, @Nullable Double mm) {
        return within(errors, pointer, "side", mm, LEAST_MM, MOST_MM, "mm");
    }

    private static @Nullable Double within(
            FieldErrors errors,
            String pointer,
            String name,
            @Nullable Double given,
            double low,
            double high,
            String unit) {
        return given == null ? null : errors.check(pointer, low, () -> Check.within(name, given, low, high, unit));
    }

    private static @Nullable Integer pieces(FieldErrors errors, @Nullable Integer given) {
        return given == null ? null : errors.check("/facts/pieces", 1, () -> Check.count("pieces", given, 1, 100));
    }

    private static @Nullable String oneOf(
            FieldErrors errors, String pointer, @Nullable String given, List<String> choices) {
        if (given != null && !choices.contains(given)) {
            errors.add(pointer, "E_SHAPE", "This choice does not exist; there are " + String.join(", ", choices) + ".");
            return null;
        }
        return given;
    }

    private static @Nullable String words(FieldErrors errors, @Nullable String given) {
        return given == null
                ? null
                : keyslate.server.web.Texts.checked(errors, "/facts/darkUntil", given, 0, LONGEST_WORDS);
    }

    /** The facts in words. */
    static List<String> says(StoredFacts f) {
        List<String> words = new ArrayList<>();
        if (f.longMm() != null && f.shortMm() != null) {
            words.add(Show.number(f.longMm()) + " × " + Show.number(f.shortMm()) + " mm");
        }
        if (f.bordersFixedMm() != null) {
            words.add("fixed borders of " + Show.number(f.bordersFixedMm()) + " mm");
        }
        if (f.place() != null) {
            words.add(placeWords(f.place()));
        }
        if (f.timeFactor() != null) {
            words.add("costs × " + Show.factor(f.timeFactor()));
        }
        if (f.pieces() != null) {
            words.add("holds " + f.pieces());
        }
        if (f.feed() != null) {
            words.add(f.feed().charAt(0) == 'L' ? "long side first" : "short side first");
        }
        if (f.darkUntil() != null && !f.darkUntil().isEmpty()) {
            words.add("dark until " + f.darkUntil());
        }
        if (f.kelvin() != null) {
            words.add(Show.number(f.kelvin()) + " K");
        }
        if (f.says() != null) {
            words.add(Kit.CORRECTION.equals(f.says()) ? "they say the correction" : "they say their strength");
        }
        if (f.strengths() != null) {
            words.add(f.strengths().stream().map(Show::number).collect(Collectors.joining(", ")));
        }
        return words;
    }

    private static String placeWords(String place) {
        return switch (place) {
            case FilterPlaces.ABOVE_NEGATIVE -> "above the negative";
            case FilterPlaces.BELOW_LENS -> "below the lens";
            default -> "in the head";
        };
    }
}
