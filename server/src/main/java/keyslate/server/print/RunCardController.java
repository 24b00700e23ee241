package keyslate.server.print;

import java.util.List;
import keyslate.core.quantity.QuantityException;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetViews.StepView;
import keyslate.server.sheet.StepWords;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateService;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Slate;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** A planned run on paper. */
@RestController
class RunCardController {
    private final Database database;
    private final SlateService slates;
    private final Subjects subjects;
    private final SlateAssembler assembler;
    private final RecipeRepository recipes;
    private final Rigs rigs;
    private final SheetKinds kinds;

    RunCardController(
            Database database,
            SlateService slates,
            Subjects subjects,
            SlateAssembler assembler,
            RecipeRepository recipes,
            Rigs rigs,
            SheetKinds kinds) {
        this.database = database;
        this.slates = slates;
        this.subjects = subjects;
        this.assembler = assembler;
        this.recipes = recipes;
        this.rigs = rigs;
        this.kinds = kinds;
    }

    /** The run of a kind of sheet as it is planned, on a card for the wall (PDF). */
    @GetMapping(path = "/api/slates/{id}/run-card/{kind}", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> card(@PathVariable String id, @PathVariable String kind) {
        SheetKind sheet = kinds.asked(kind);
        Slate slate = slates.find(id);
        Subject subject = subjects.of(slate);
        RunCard card = assembler.with(subject, () -> database.inSnapshot(() -> card(slate, subject, sheet)));
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(card.pdf());
    }

    private RunCard card(Slate slate, Subject subject, SheetKind sheet) {
        Rig rig = rigs.of(recipes.get(slate.recipeId()), subject);
        try {
            List<StepView> steps =
                    StepWords.of(sheet.plan(rig, assembler.small(rig)).steps(), rig);
            String stands = Show.listed(rig.exposure().parts().stream()
                            .map(p -> p.light().notation())
                            .toList()) + ", "
                    + Show.aperture(rig.mark().engraved()) + ", "
                    + rig.paper().type() + " " + rig.paper().batch();
            return new RunCard(rig.recipe().naming().title() + ", " + sheet.name(rig), stands, steps);
        } catch (QuantityException e) {
            throw RefusedException.of("/kind", e.kind().code(), Show.sentence(e.getMessage()));
        }
    }
}
