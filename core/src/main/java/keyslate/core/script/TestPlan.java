package keyslate.core.script;

import java.util.Optional;
import keyslate.core.quantity.Stops;

/** The plan of a test; a new kind of test is one more of these, with its planner and its panel. */
public sealed interface TestPlan permits CoverStripPlan {
    /** The same about whatever base exposure stands. */
    TestPlan followingBase();

    /** Its step in stops, where that is another one than in the plan before; none where it has none. */
    Optional<Stops> stepUnlike(TestPlan before);
}
