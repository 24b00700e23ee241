package keyslate.server.decide;

import java.time.Clock;
import java.util.List;
import keyslate.core.medium.Monochrome;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.server.Clocks;
import keyslate.server.rig.Learned;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.slate.SlateService;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SlateMarks;
import keyslate.store.slate.SlateMarksRepository;
import org.springframework.stereotype.Component;

/** After a reading: what the tests of the slate tell of filters and lamp is kept for the slates that follow. */
@Component
class Tells {
    private final RecipeRepository recipes;
    private final SlateService slates;
    private final SheetAssembler cords;
    private final Rigs rigs;
    private final SlateMarksRepository marks;
    private final Clock clock;

    Tells(
            RecipeRepository recipes,
            SlateService slates,
            SheetAssembler cords,
            Rigs rigs,
            SlateMarksRepository marks,
            Clock clock) {
        this.recipes = recipes;
        this.slates = slates;
        this.cords = cords;
        this.rigs = rigs;
        this.marks = marks;
        this.clock = clock;
    }

    /** Puts what a slate tells now in place of what it told before; a proof of a film tells of no picture's tones. */
    void tell(String slateId) {
        Rig now = rigs.of(recipes.get(slates.find(slateId).recipeId()));
        if (!Monochrome.ID.equals(now.medium().id()) || now.subject().isProof()) {
            return;
        }
        List<Mark> told = Evidence.ofSlate(now, cords.cord(slateId, now));
        if (told.isEmpty()) {
            return;
        }
        marks.put(new SlateMarks(
                slateId,
                now.paper().name(),
                now.enlarger().id(),
                now.lag().inSeconds(),
                told.stream().map(Learned::stored).toList(),
                Clocks.now(clock)));
    }
}
