package keyslate.server.decide;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.PatchPick;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.server.Clocks;
import keyslate.server.rig.Learned;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetAssembler;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.slate.SlateService;
import keyslate.store.slate.Decision;
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

    /** Stops by which the middle of a strip missed where its whites hold; none where they were not marked on it. */
    private static Optional<Double> missed(Hung strip) {
        if (!"rescaled".equals(strip.before().recipe().base().source())) {
            // A default says nothing of how well times are carried over.
            return Optional.empty();
        }
        List<ExposureTime> totals = Readings.totals(strip.row(1));
        return strip.sheet().exposed().decisions().stream()
                .map(Decision::seen)
                .filter(s -> s.whitesAt() != null && (s.row() == null || s.row() == 1) && totals.size() > 2)
                .findFirst()
                .map(s -> PatchPick.ofPosition(s.whitesAt())
                        .timeOn(totals)
                        .stopsFrom(totals.get(totals.size() / 2))
                        .inStops());
    }

    /** Puts what a slate tells now in place of what it told before; a proof of a film tells of no picture's tones. */
    void tell(String slateId) {
        Rig now = rigs.of(recipes.get(slates.find(slateId).recipeId()));
        if (!Monochrome.ID.equals(now.medium().id()) || now.subject().isProof()) {
            return;
        }
        List<OnCord> cord = cords.cord(slateId, now);
        List<Mark> told = Evidence.ofSlate(now, cord);
        if (told.isEmpty()) {
            return;
        }
        marks.put(new SlateMarks(
                slateId,
                now.paper().type(),
                now.enlarger().id(),
                now.lag().inSeconds(),
                told.stream().map(Learned::stored).toList(),
                cord.stream()
                        .filter(on -> on.patches().isPresent() && on.view().isHung())
                        .findFirst()
                        .map(on -> new Hung(on, now, cord))
                        .flatMap(Tells::missed)
                        .orElse(null),
                Clocks.now(clock)));
    }
}
