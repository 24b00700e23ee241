package keyslate.server.slate;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import keyslate.core.size.Focus;
import keyslate.server.Clocks;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.stores.FilterPlaces;
import keyslate.server.subject.Subject;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.FocusRepository;
import keyslate.store.slate.RecipeRepository;
import org.springframework.stereotype.Component;

/** Whether focus and frame can be relied on, and what may have moved them: one look answers it, and it never stops a sheet. */
@Component
class FocusWatch {
    private final FocusRepository looks;
    private final RecipeRepository recipes;
    private final StoresRepository stores;
    private final Rigs rigs;
    private final Clock clock;

    FocusWatch(FocusRepository looks, RecipeRepository recipes, StoresRepository stores, Rigs rigs, Clock clock) {
        this.looks = looks;
        this.recipes = recipes;
        this.stores = stores;
        this.rigs = rigs;
        this.clock = clock;
    }

    /** What may have moved since somebody looked, in words; empty where nothing did, and in contact. */
    List<String> moved(Rig rig) {
        if (rig.inContact()) {
            return List.of();
        }
        Optional<FocusRepository.Look> last = looks.last(rig.enlarger().id());
        if (last.isEmpty()) {
            return List.of("nobody looked yet on " + rig.enlarger().name());
        }
        Rig then = rigs.of(recipes.get(last.get().recipeId()));
        Duration ago = Duration.between(Instant.parse(last.get().at()), clock.instant());
        boolean below = FilterPlaces.areBelowLens(stores);
        return focus(rig, below).movedSince(focus(then, below), ago.toSeconds() / 3600.0).stream()
                .map(m -> words(m, then, ago))
                .toList();
    }

    void looked(Rig rig) {
        looks.add(rig.enlarger().id(), new FocusRepository.Look(rig.recipe().id(), Clocks.now(clock)));
    }

    private static Focus focus(Rig rig, boolean filterBelowLens) {
        return new Focus(
                rig.lens().id(),
                negative(rig.subject()),
                rig.magnification(),
                rig.placement(),
                rig.sheetWidth().inMm(),
                rig.sheetHeight().inMm(),
                filterBelowLens ? rig.light().notation() : "");
    }

    private static String negative(Subject subject) {
        return subject instanceof Subject.Single single ? single.frame().id() : "";
    }

    private static String words(Focus.Moved moved, Rig then, Duration ago) {
        return switch (moved) {
            case LENS -> "another lens";
            case NEGATIVE -> "another negative in the carrier";
            case SIZE -> "the size was " + Show.number(then.magnification().inTimes()) + " ×";
            case EASEL -> "the easel was moved";
            case FILTER_BELOW -> "the filter below the lens was " + then.light().notation();
            case BREAK ->
                ago.toHours() < 48 ? "a break of " + ago.toHours() + " h" : "a break of " + ago.toDays() + " days";
        };
    }
}
