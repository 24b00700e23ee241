package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import keyslate.core.colour.Taste;
import keyslate.core.quantity.Check;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneWish;
import keyslate.server.PrintTurns;
import keyslate.server.recipe.RecipeChange.NamingChange;
import keyslate.server.rig.Rig;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.json.StoredTaste;
import keyslate.store.json.StoredTone;
import keyslate.store.slate.Recipe.Naming;
import org.jspecify.annotations.Nullable;

/** The edit of what a print is to be: its name, its line, the two taps, the tones that matter. */
final class NamingEdit {
    private static final int LONGEST_TITLE = 80;
    private static final int LONGEST_INTENT = 400;
    private static final int LONGEST_TONE = 40;

    private NamingEdit() {}

    static Naming of(Edit edit, Rig before, @Nullable NamingChange change) {
        Naming now = before.recipe().naming();
        if (change == null) {
            return now;
        }
        boolean white = Edit.or(change.whiteWanted(), now.whiteWanted());
        boolean black = Edit.or(change.blackWanted(), now.blackWanted());
        edit.sayIf(white != now.whiteWanted(), white ? "a true white is wanted" : "no true white is wanted");
        edit.sayIf(black != now.blackWanted(), black ? "a true black is wanted" : "no true black is wanted");
        return new Naming(
                edit.text("/naming/title", change.title(), now.title(), 1, LONGEST_TITLE, "title"),
                edit.text("/naming/intent", change.intent(), now.intent(), 0, LONGEST_INTENT, "intent"),
                white,
                black,
                change.tones() == null ? now.tones() : tones(edit, now.tones(), change.tones()),
                change.taste() == null ? now.taste() : taste(edit, before, change.taste()));
    }

    private static Taste taste(Edit edit, Rig before, StoredTaste asked) {
        Taste taste = new Taste(
                edit.errors().check("/naming/taste/magenta", 0.0, () -> new Taste(asked.magenta(), 0).magenta()),
                edit.errors().check("/naming/taste/yellow", 0.0, () -> new Taste(0, asked.yellow()).yellow()));
        if (!taste.isNeutral() && before.light().points().isEmpty()) {
            edit.errors().add("/naming/taste", "E_SHAPE", "A print in monochrome has no cast to be meant.");
        }
        edit.sayIf(!taste.equals(before.recipe().naming().taste()), "meant " + PrintTurns.meant(taste));
        return taste;
    }

    private static List<NamedTone> tones(Edit edit, List<NamedTone> now, List<StoredTone> asked) {
        FieldErrors errors = edit.errors();
        if (asked.size() > Naming.MOST_TONES) {
            errors.add("/naming/tones", "E_SHAPE", "Up to " + Naming.MOST_TONES + " tones can be named.");
            return now;
        }
        List<NamedTone> tones = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (int i = 0; i < asked.size(); i++) {
            String at = "/naming/tones/" + i;
            StoredTone tone = asked.get(i);
            if (tone == null) {
                errors.add(at, "E_SHAPE", "This is missing.");
                continue;
            }
            String name = Texts.checked(errors, at + "/name", tone.name(), 1, LONGEST_TONE);
            if (!name.isEmpty() && !names.add(name)) {
                errors.add(at + "/name", "E_SHAPE", "Each tone needs a name of its own.");
            }
            double x = errors.check(at + "/x", 0.0, () -> Check.within("place", tone.x(), 0, 1, ""));
            double y = errors.check(at + "/y", 0.0, () -> Check.within("place", tone.y(), 0, 1, ""));
            ToneWish wish = edit.oneOf(at + "/wish", tone.wish(), ToneWish.WHITE_HOLDS);
            StoredTone named = new StoredTone(name, x, y, wish.name(), tone.density());
            NamedTone made = errors.check(at + "/density", null, named::toCore);
            if (made != null) {
                tones.add(made);
            }
        }
        int more = tones.size() - now.size();
        edit.sayIf(!tones.equals(now), more > 0 ? "a tone named" : more < 0 ? "a tone forgotten" : "named tones");
        return tones;
    }
}
