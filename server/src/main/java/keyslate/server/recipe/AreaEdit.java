package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.light.Light;
import keyslate.core.local.AreaShape;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.LocalWork;
import keyslate.server.local.LocalViews.AreaView;
import keyslate.server.recipe.RecipeChange.LocalEdit;
import keyslate.server.rig.Rig;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.slate.Recipe.Area;
import keyslate.store.slate.Recipe.Local;
import org.jspecify.annotations.Nullable;

/** The edit of the local plan: the whole list of areas is given, each is checked. */
final class AreaEdit {
    private static final int MOST_AREAS = 24;
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_TOOL = 60;
    private static final int LONGEST_KEY = 60;

    private AreaEdit() {}

    static Local of(Edit edit, Rig rig, @Nullable LocalEdit change) {
        Local now = rig.recipe().local();
        if (change == null) {
            return withLightsOf(rig, now);
        }
        LocalWork.Way way = edit.oneOf("/local/way", change.way(), now.way());
        edit.sayIf(way != now.way(), "how holds are given");
        return new Local(change.areas() == null ? now.areas() : areas(edit, rig, change.areas()), way);
    }

    /** Burns through a light of another kind of paper fall back to the base's. */
    private static Local withLightsOf(Rig rig, Local now) {
        return new Local(
                now.areas().stream()
                        .map(a -> a.light().isPresent() && !isOf(rig, a.light().get())
                                ? new Area(
                                        a.key(),
                                        a.name(),
                                        a.shape(),
                                        a.softEdge(),
                                        a.change(),
                                        Optional.empty(),
                                        a.tool())
                                : a)
                        .toList(),
                now.way());
    }

    private static boolean isOf(Rig rig, Light light) {
        try {
            rig.medium().core().read(light.notation());
            return true;
        } catch (QuantityException e) {
            return false;
        }
    }

    private static List<Area> areas(Edit edit, Rig rig, List<AreaView> asked) {
        List<Area> now = rig.recipe().local().areas();
        FieldErrors errors = edit.errors();
        if (asked.size() > MOST_AREAS) {
            errors.add(
                    "/local/areas",
                    "E_SHAPE",
                    "A plan takes up to " + MOST_AREAS + " areas; more than that asks for a mask.");
            return now;
        }
        List<Area> areas = new ArrayList<>();
        Set<String> keys = new HashSet<>();
        for (int i = 0; i < asked.size(); i++) {
            String at = "/local/areas/" + i;
            AreaView a = asked.get(i);
            if (a == null) {
                errors.add(at, "E_SHAPE", "This is missing.");
                continue;
            }
            String key = Texts.checked(errors, at + "/key", a.key(), 1, LONGEST_KEY);
            if (!key.isEmpty() && !keys.add(key)) {
                errors.add(at + "/key", "E_SHAPE", "Each area needs a key of its own.");
            }
            Area area = area(errors, rig, at, key, a);
            if (area != null) {
                areas.add(area);
            }
        }
        int more = areas.size() - now.size();
        edit.sayIf(!areas.equals(now), more > 0 ? "new area" : more < 0 ? "area removed" : "local plan");
        return areas;
    }

    private static @Nullable Area area(FieldErrors errors, Rig rig, String at, String key, AreaView a) {
        String name = Texts.checked(errors, at + "/name", a.name(), 1, LONGEST_NAME);
        String tool = Texts.checked(errors, at + "/tool", a.tool(), 0, LONGEST_TOOL);
        AreaShape shape = errors.check(at + "/shape", null, () -> outline(a));
        double soft = errors.check(at + "/softEdge", 0.05, () -> Check.within("soft edge", a.softEdge(), 0, 1, ""));
        LocalChange change = errors.check(at + "/changeStops", null, () -> LocalChange.ofStops(a.changeStops()));
        Optional<Light> light = a.light() == null
                ? Optional.empty()
                : errors.check(
                        at + "/light",
                        Optional.empty(),
                        () -> Optional.of(rig.medium().core().read(a.light())));
        return shape == null || change == null ? null : new Area(key, name, shape, soft, change, light, tool);
    }

    private static AreaShape outline(AreaView a) {
        if (a.shape() == null) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "outline", "draw the outline of the area");
        }
        return a.shape().toCore();
    }
}
