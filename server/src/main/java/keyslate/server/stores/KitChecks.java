package keyslate.server.stores;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.bench.Kit;
import keyslate.store.bench.KitRepository;
import org.jspecify.annotations.Nullable;

/** What is said of a kit of viewing filters, checked field by field. */
public final class KitChecks {
    static final List<String> SAYS = List.of(Kit.STRENGTH, Kit.CORRECTION);
    private static final int MOST_FILTERS = 8;
    private static final int LONGEST_NAME = 40;
    private static final double WEAKEST = 1;
    private static final double STRONGEST = 60;

    private KitChecks() {}

    public static String name(FieldErrors errors, @Nullable String asked) {
        return Texts.checked(errors, "/name", asked, 1, LONGEST_NAME);
    }

    /** Looks stand under the name of their kit: no two may share one, nor take one that another had. */
    static void refuseTaken(FieldErrors errors, KitRepository kits, String name, String id) {
        kits.find(name).filter(kit -> !kit.id().equals(id)).ifPresent(kit -> {
            String words = kit.name().equalsIgnoreCase(name)
                    ? "Another kit is called so, in use or retired. Choose another name, or take that one into use again."
                    : "“" + kit.name() + "” was called so, and looks through it stand under this name. Choose another.";
            errors.add("/name", "E_SHAPE", words);
        });
    }

    /** 1 to 8 strengths of 1 to 60 points, the weakest first. */
    public static List<Double> strengths(FieldErrors errors, String pointer, @Nullable List<@Nullable Double> asked) {
        if (asked == null || asked.isEmpty() || asked.size() > MOST_FILTERS) {
            errors.add(pointer, "E_SHAPE", "A kit has 1 to " + MOST_FILTERS + " strengths.");
            return List.of();
        }
        List<Double> strengths = new ArrayList<>();
        for (Double points : asked) {
            strengths.add(errors.check(
                    pointer,
                    WEAKEST,
                    () -> Check.within(
                            "strength", points == null ? Double.NaN : points, WEAKEST, STRONGEST, "points")));
        }
        return strengths.stream().distinct().sorted().toList();
    }
}
