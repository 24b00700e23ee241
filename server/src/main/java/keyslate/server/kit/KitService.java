package keyslate.server.kit;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.server.kit.KitViews.KitAsked;
import keyslate.server.kit.KitViews.ViewingKit;
import keyslate.server.kit.KitViews.ViewingKits;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.bench.Kit;
import keyslate.store.bench.KitRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The kits of a bench. */
@Service
class KitService {
    private static final int MOST_KITS = 20;
    private static final int MOST_FILTERS = 8;
    private static final int LONGEST_NAME = 40;
    private static final double WEAKEST = 1;
    private static final double STRONGEST = 60;

    private final Database database;
    private final KitRepository kits;
    private final Clock clock;

    KitService(Database database, KitRepository kits, Clock clock) {
        this.database = database;
        this.kits = kits;
        this.clock = clock;
    }

    ViewingKits all() {
        return new ViewingKits(kits.all().stream().map(ViewingKit::of).toList());
    }

    /** Keeps a kit and takes it up. */
    ViewingKits keep(KitAsked asked) {
        FieldErrors errors = new FieldErrors();
        String name = Texts.checked(errors, "/name", asked.name(), 1, LONGEST_NAME);
        if (asked.says() == null) {
            errors.add("/says", "E_SHAPE", "Say what stands on the filters: their strength, or the correction.");
        }
        List<Double> strengths = strengths(errors, asked.strengths() == null ? List.of() : asked.strengths());
        errors.throwIfAny();
        return database.inTransaction(() -> {
            if (kits.all().size() >= MOST_KITS && kits.find(name).isEmpty()) {
                throw new ConflictException(
                        "too-many-kits", "A bench has at most " + MOST_KITS + " kits; take one off first.");
            }
            kits.keep(
                    new Kit(name, asked.says().name(), strengths),
                    clock.instant().toString());
            return all();
        });
    }

    private static List<Double> strengths(FieldErrors errors, List<@Nullable Double> asked) {
        if (asked.isEmpty() || asked.size() > MOST_FILTERS) {
            errors.add("/strengths", "E_SHAPE", "A kit has 1 to " + MOST_FILTERS + " strengths.");
            return List.of();
        }
        List<Double> strengths = new ArrayList<>();
        for (Double points : asked) {
            strengths.add(errors.check(
                    "/strengths",
                    WEAKEST,
                    () -> Check.within(
                            "strength", points == null ? Double.NaN : points, WEAKEST, STRONGEST, "points")));
        }
        return strengths.stream().distinct().sorted().toList();
    }

    /** Takes a kit off the list. */
    void remove(String name) {
        database.inTransaction(() -> kits.remove(name));
    }
}
