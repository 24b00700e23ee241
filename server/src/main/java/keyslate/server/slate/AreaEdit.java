package keyslate.server.slate;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.server.local.Shapes;
import keyslate.server.slate.SlateViews.AreaView;
import keyslate.server.web.FieldErrors;
import keyslate.store.slate.Area;
import org.jspecify.annotations.Nullable;

/** The edit of the areas of a local plan: the whole list is given, each area is checked. */
final class AreaEdit {
    private static final int MOST_AREAS = 24;
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_TOOL = 60;
    private static final double MOST_HELD_STOPS = -4;
    private static final double MOST_BURNED_STOPS = 6;

    private AreaEdit() {}

    static List<Area> of(Edit edit, List<Area> now, @Nullable List<AreaView> asked) {
        if (asked == null) {
            return now;
        }
        if (asked.size() > MOST_AREAS) {
            edit.errors()
                    .add(
                            "/areas",
                            "E_SHAPE",
                            "A plan takes up to " + MOST_AREAS + " areas; more than that asks for a mask.");
        }
        List<Area> areas = new ArrayList<>();
        Set<String> keys = new HashSet<>();
        for (AreaView a : asked) {
            String at = "/areas/" + areas.size();
            if (a.key() == null || !keys.add(a.key())) {
                edit.errors().add(at + "/key", "E_SHAPE", "Each area needs a key of its own.");
            }
            areas.add(area(edit.errors(), at, a));
        }
        int more = areas.size() - now.size();
        edit.sayIf(!areas.equals(now), more > 0 ? "new area" : more < 0 ? "area removed" : "local plan");
        return areas;
    }

    private static Area area(FieldErrors errors, String at, AreaView a) {
        String name = a.name() == null ? "" : a.name().strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            errors.add(at + "/name", "E_SHAPE", "Name the area in 1 to " + LONGEST_NAME + " characters.");
        }
        String shape = errors.check(at + "/shape", "{}", () -> outline(a));
        double soft = errors.check(at + "/softEdge", 0.05, () -> Check.within("soft edge", a.softEdge(), 0, 1, ""));
        double change = errors.check(
                at + "/changeStops",
                0.0,
                () -> Check.within("change", a.changeStops(), MOST_HELD_STOPS, MOST_BURNED_STOPS, "stops"));
        String filter = a.filter() == null
                ? null
                : errors.check(
                        at + "/filter",
                        null,
                        () -> GradeFilter.ofLabel(a.filter()).label());
        String tool = a.tool() == null ? "" : a.tool().strip();
        return new Area(
                a.key(), name, shape, soft, change, filter, tool.substring(0, Math.min(LONGEST_TOOL, tool.length())));
    }

    private static String outline(AreaView a) {
        if (a.shape() == null || a.shape().points() == null || a.shape().kind() == null) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "outline", "draw the outline of the area");
        }
        Shapes.toCore(a.shape());
        return Shapes.toJson(a.shape());
    }
}
