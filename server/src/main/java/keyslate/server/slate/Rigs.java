package keyslate.server.slate;

import keyslate.server.web.NotFoundException;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** Finds the things a recipe names. */
@Component
public class Rigs {
    private final StoresRepository stores;
    private final RollRepository rolls;
    private final SlateRepository slates;

    Rigs(StoresRepository stores, RollRepository rolls, SlateRepository slates) {
        this.stores = stores;
        this.rolls = rolls;
        this.slates = slates;
    }

    public Rig of(Recipe recipe) {
        String frameId = slates.find(recipe.slateId())
                .orElseThrow(NotFoundException.of("slate"))
                .frameId();
        return of(recipe, rolls.frame(frameId).orElseThrow(NotFoundException.of("frame")));
    }

    /** For a recipe whose slate is not stored yet. */
    public Rig of(Recipe recipe, Frame frame) {
        return new Rig(
                recipe,
                frame,
                rolls.roll(frame.rollId()).orElseThrow(NotFoundException.of("roll")),
                stores.enlarger(recipe.setup().enlargerId()).orElseThrow(NotFoundException.of("enlarger")),
                stores.lens(recipe.setup().lensId()).orElseThrow(NotFoundException.of("lens")),
                stores.paper(recipe.setup().paperId()).orElseThrow(NotFoundException.of("paper")));
    }
}
