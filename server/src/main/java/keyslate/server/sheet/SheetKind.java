package keyslate.server.sheet;

import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.slate.Recipe;

/** A kind of sheet; a new one is a component that implements this, with its panel on the page. */
public interface SheetKind {
    /** Its name in the store and in requests. */
    String id();

    /** What it is called, such as "Strip". */
    String name(Rig rig);

    /** The station where it is planned and exposed. */
    String station();

    /** The station where it is looked at once it hangs; of a sheet that was made with a rig. */
    String lookedAtStation(Rig rig);

    /**
     * The sheet that the recipe asks for.
     *
     * @param small the negative, small, where it was scanned
     * @throws keyslate.core.quantity.QuantityException when it cannot be made; the message says why
     */
    SheetPlan plan(Rig rig, Optional<Negative> small);

    /** Whether it is read patch by patch. */
    default boolean isTest() {
        return false;
    }

    /** The sheet in a few words. */
    String summary(Rig rig, SheetView sheet);

    /** What the slate waits for once this sheet, its last, hangs. */
    NextStepView next(Rig standing, SheetView last);

    /** What was decided from a sheet and has been followed by nothing yet; for kinds that judge. */
    default boolean isDecided(Recipe standing, SheetView sheet) {
        return !sheet.decisions().isEmpty() || !standing.id().equals(sheet.recipeId());
    }
}
