package keyslate.server.decide;

import java.util.Optional;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.test.CheckPlan;
import keyslate.store.json.Seen;

/** What one kind of paper makes of marks on a strip and of wishes about a print; a component for each kind. */
interface Adviser {
    /** The kind of paper, by its name in the store. */
    String mediumId();

    /** The verdict on a strip; refuses marks that are missing or off the strip. */
    VerdictView reading(Hung strip, Marks marks);

    /** The strip that would settle what a reading leaves open. */
    Optional<CheckPlan> check(Hung strip, Marks marks);

    /** What of the marks is kept. */
    Seen seen(Marks marks);

    /** The verdict on a print; refuses wishes that this paper cannot follow. */
    VerdictView judgement(Hung print, Wishes wishes);
}
