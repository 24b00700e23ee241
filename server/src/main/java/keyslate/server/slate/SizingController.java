package keyslate.server.slate;

import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.web.ConflictException;
import keyslate.store.Database;
import keyslate.store.slate.RecipeRepository;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The sheet that is laid in the easel to size and focus on. */
@RestController
@RequestMapping("/api/slates")
class SizingController {
    private final Database database;
    private final SlateService slates;
    private final RecipeRepository recipes;
    private final Rigs rigs;
    private final Geometry geometry;

    SizingController(Database database, SlateService slates, RecipeRepository recipes, Rigs rigs, Geometry geometry) {
        this.database = database;
        this.slates = slates;
        this.recipes = recipes;
        this.rigs = rigs;
        this.geometry = geometry;
    }

    /** A PDF at true size with blade corners and focus stars: a page as large as the sheet, or parts of it on office paper. */
    @GetMapping("/{id}/sizing-sheet")
    ResponseEntity<byte[]> sizingSheet(@PathVariable String id, @RequestParam(defaultValue = "false") boolean inParts) {
        SizingSheet sheet = database.inSnapshot(() -> {
            Rig rig = rigs.of(recipes.get(slates.find(id).recipeId()));
            if (rig.inContact()) {
                throw new ConflictException("in-contact", "A print in contact is as large as its negative.");
            }
            return new SizingSheet(rig, geometry.columnWords(rig));
        });
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header("Content-Disposition", "inline; filename=\"sizing-sheet.pdf\"")
                .body(sheet.pdf(inParts));
    }
}
