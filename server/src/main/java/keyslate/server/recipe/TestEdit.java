package keyslate.server.recipe;

import java.util.Map;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.TestPlan;
import keyslate.server.recipe.RecipeChange.TestChange;
import keyslate.server.rig.Rig;
import org.jspecify.annotations.Nullable;

/** The edit of the test that is planned: each kind of test has its own, and a line here. */
final class TestEdit {
    private static final TestChange NOTHING =
            new TestChange(null, null, null, null, null, null, null, null, null, null, null, null);
    private static final Map<Class<? extends TestPlan>, PlanEdit> EDITS = Map.of(CoverStripPlan.class, StripEdit::of);

    private TestEdit() {}

    /** The edit of one kind of plan. */
    private interface PlanEdit {
        TestPlan of(Edit edit, Rig rig, TestChange change);
    }

    /** The plan after the set-up has moved and a change was asked for, if any was. */
    static TestPlan of(Edit edit, Rig rig, @Nullable TestChange change) {
        TestPlan now = rig.recipe().test();
        TestPlan next = EDITS.get(now.getClass()).of(edit, rig, change == null ? NOTHING : change);
        edit.sayIf(change != null && !next.equals(now), "strip plan");
        return next;
    }
}
