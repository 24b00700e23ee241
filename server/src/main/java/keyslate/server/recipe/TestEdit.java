package keyslate.server.recipe;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.TestPlan;
import keyslate.core.test.WedgePlan;
import keyslate.server.recipe.RecipeChange.TestChange;
import keyslate.server.rig.Rig;
import keyslate.store.json.StoredTest;
import org.jspecify.annotations.Nullable;

/** The edit of the test that is planned: each kind of test has its own, and a line here. */
final class TestEdit {
    private static final List<Kind<?>> KINDS = List.of(
            new Kind<>(StoredTest.STRIP, CoverStripPlan.class, StripEdit::of, StripEdit::fresh),
            new Kind<>(StoredTest.SAME_SPOT, SameSpotPlan.class, SpotEdit::sameSpot, SpotEdit::freshSameSpot),
            new Kind<>(StoredTest.OPENINGS, OpeningsPlan.class, OpeningsEdit::of, OpeningsEdit::fresh),
            new Kind<>(StoredTest.WEDGE, WedgePlan.class, SpotEdit::wedge, SpotEdit::freshWedge),
            new Kind<>(StoredTest.GUESS, GuessPlan.class, SpotEdit::guess, SpotEdit::freshGuess),
            new Kind<>(StoredTest.PIECES, PiecesPlan.class, SpotEdit::pieces, SpotEdit::freshPieces));

    private TestEdit() {}

    /** The edit of one kind of plan. */
    private interface PlanEdit<P> {
        P of(Edit edit, Rig rig, P now, TestChange change);
    }

    /** A plan of a kind in place of one of another kind: what both have stays. */
    private interface FreshPlan<P> {
        P of(Rig rig, TestPlan now);
    }

    private record Kind<P extends TestPlan>(String id, Class<P> plan, PlanEdit<P> edit, FreshPlan<P> fresh) {
        TestPlan edited(Edit edit, Rig rig, TestPlan now, TestChange change) {
            P standing = plan.isInstance(now) ? plan.cast(now) : this.fresh.of(rig, now);
            return this.edit.of(edit, rig, standing, change);
        }
    }

    /** The plan after the set-up has moved and a change was asked for, if any was. */
    static TestPlan of(Edit edit, Rig rig, @Nullable TestChange change) {
        TestPlan now = rig.recipe().test();
        TestChange asked = change == null ? TestChange.NOTHING : change;
        TestPlan next = kind(edit, now, asked).edited(edit, rig, now, asked);
        boolean another = !next.getClass().equals(now.getClass());
        edit.sayIf(change != null && !next.equals(now), another ? "kind of test" : "test plan");
        return next;
    }

    private static Kind<?> kind(Edit edit, TestPlan now, TestChange asked) {
        Kind<?> stands =
                KINDS.stream().filter(k -> k.plan().isInstance(now)).findFirst().orElseThrow();
        if (asked.kind() == null) {
            return stands;
        }
        Map<String, Kind<?>> byId = KINDS.stream().collect(Collectors.toMap(Kind::id, k -> (Kind<?>) k));
        if (!byId.containsKey(asked.kind())) {
            edit.errors()
                    .add(
                            "/test/kind",
                            "E_SHAPE",
                            "There is no such test; there are "
                                    + String.join(
                                            ", ", KINDS.stream().map(Kind::id).toList()) + ".");
            return stands;
        }
        return byId.get(asked.kind());
    }
}
