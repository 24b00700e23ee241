package keyslate.server.slate;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.slate.SlateViews.StartingTimeView;
import keyslate.server.web.FieldErrors;
import keyslate.store.slate.Area;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Recipe.Setup;
import keyslate.store.slate.Recipe.Strip;
import org.springframework.stereotype.Component;

/**
 * Turns an edit into the recipe that follows. Every field is checked and all errors are said at once; what an edit
 * drags along (time with opening, time with grade, patch width with count) is computed and named in the edit's label.
 */
@Component
public class RecipeEditor {
    /** The label of an edit that changes nothing; such a recipe is not kept. */
    public static final String NO_CHANGE = "no change";

    private final Rigs rigs;
    private final StartingTime startingTime;
    private final SetupEdit setups;
    private final Clock clock;

    RecipeEditor(Rigs rigs, StartingTime startingTime, SetupEdit setups, Clock clock) {
        this.rigs = rigs;
        this.startingTime = startingTime;
        this.setups = setups;
        this.clock = clock;
    }

    /** The recipe that follows {@code now}; refuses with every field that cannot be taken. */
    public Recipe edit(Recipe now, RecipeChange change) {
        Edit edit = new Edit();
        FieldErrors errors = edit.errors();
        String title = edit.text("/title", change.title(), now.title(), 1, 80, "title");
        String intent = edit.text("/intent", change.intent(), now.intent(), 0, 400, "intent");
        Setup setup = setups.of(edit, now.setup(), change);
        errors.throwIfAny();
        if (Boolean.TRUE.equals(change.takeStartingTime())) {
            setup = started(edit, follow(now, edit, title, intent, setup, now.strip(), now.areas()));
        }
        Rig rig = rigs.of(follow(now, edit, title, intent, setup, now.strip(), now.areas()));
        SetupEdit.checkBorders(errors, rig, change);
        errors.throwIfAny();
        Strip strip = StripEdit.of(edit, rig, change);
        List<Area> areas = AreaEdit.of(edit, now.areas(), change.areas());
        errors.throwIfAny();
        return follow(now, edit, title, intent, setup, strip, areas);
    }

    private Setup started(Edit edit, Recipe recipe) {
        StartingTimeView start = startingTime.propose(rigs.of(recipe));
        edit.say("time " + Show.seconds(start.seconds()) + " carried over");
        return recipe.setup().withTime(start.seconds(), start.source(), String.join("\n", start.arithmetic()));
    }

    /**
     * The recipe with grade and time that a verdict proposed, or that the user set against it; with the check strip
     * planned when one is wanted.
     */
    public Recipe take(
            Recipe now, String filter, double seconds, Optional<CheckStrip> check, String source, String because) {
        Edit edit = new Edit();
        Setup s = now.setup();
        Setup graded = s.withFilter(GradeFilter.ofLabel(filter).label());
        double set = TimerSteps.tenths()
                .nearest(ExposureTime.ofSeconds(seconds))
                .time()
                .inSeconds();
        edit.sayIf(!s.filter().equals(graded.filter()), "grade " + s.filter() + " to " + graded.filter());
        edit.say("time " + Show.seconds(s.baseSeconds()) + " to " + Show.seconds(set));
        Setup timed = graded.withTime(set, source, because);
        Strip strip = now.strip().followingBase();
        Recipe taken = follow(now, edit, now.title(), now.intent(), timed, strip, now.areas());
        if (check.isEmpty()) {
            return taken;
        }
        edit.say("check strip");
        Strip planned = StripEdit.series(rigs.of(taken), strip, check.get());
        return follow(now, edit, now.title(), now.intent(), timed, planned, now.areas());
    }

    private Recipe follow(
            Recipe now, Edit edit, String title, String intent, Setup setup, Strip strip, List<Area> areas) {
        return new Recipe(
                Ids.fresh(),
                now.slateId(),
                now.id(),
                Clocks.now(clock),
                edit.label(),
                title,
                intent,
                setup,
                strip,
                areas);
    }
}
