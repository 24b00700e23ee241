package keyslate.server.recipe;

import java.time.Clock;
import java.util.Optional;
import java.util.OptionalInt;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.BaseExposure;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.TestPlan;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.subject.Subject;
import keyslate.server.test.CheckPlan;
import keyslate.server.test.Strips;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Recipe.Base;
import keyslate.store.slate.Recipe.Local;
import keyslate.store.slate.Recipe.Naming;
import keyslate.store.slate.Recipe.Setup;
import org.springframework.stereotype.Component;

/**
 * Turns an edit into the recipe that follows. Each section is read and checked by its own class and all errors are said at
 * once; what an edit drags along (time with opening and light, patch width with count) is computed and named in its label.
 */
@Component
public class RecipeEditor {
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

    /** The recipe that follows {@code now}, or nothing when the edit changes nothing; refuses with every field that cannot be taken. */
    public Optional<Recipe> edit(Recipe now, Subject subject, RecipeChange change) {
        Edit edit = new Edit();
        Rig before = rigs.of(now, subject);
        Naming naming = NamingEdit.of(edit, before, change.naming());
        Setup setup = setups.of(edit, before, change.setup());
        refuseIfWrong(edit, before, change);
        Rig moved = rigs.of(follow(now, edit, naming, setup, now.base(), now.test(), now.local()), subject);
        PlacementEdit.check(edit.errors(), moved, change.setup());
        ContactEdit.check(edit.errors(), moved);
        refuseIfWrong(edit, before, change);
        Base base = takesStart(change)
                ? started(edit, moved, change.base())
                : BaseEdit.of(edit, before, moved, change.base(), startingTime::light);
        TestPlan carried = carried(now, base, change);
        Rig based = rigs.of(follow(now, edit, naming, setup, base, carried, now.local()), subject);
        TestPlan test = TestEdit.of(edit, based, change.test());
        Local local = AreaEdit.of(edit, based, change.local());
        edit.errors().throwIfAny();
        return edit.changesNothing()
                ? Optional.empty()
                : Optional.of(follow(now, edit, naming, setup, base, test, local));
    }

    /** What is wrong with the set-up is told together with what is wrong in the sections that rest on it. */
    private void refuseIfWrong(Edit edit, Rig before, RecipeChange change) {
        if (!edit.errors().isEmpty()) {
            BaseEdit.of(edit, before, before, change.base(), startingTime::light);
            TestEdit.of(edit, before, change.test());
            AreaEdit.of(edit, before, change.local());
            edit.errors().throwIfAny();
        }
    }

    /** A second light's own time on a strip goes along with the base where that was carried to another set-up, and always where it is the second part of a split. */
    private static TestPlan carried(Recipe now, Base base, RecipeChange change) {
        BaseExposure.Part was = now.base().exposure().main();
        BaseExposure.Part is = base.exposure().main();
        boolean follows = now.test() instanceof CoverStripPlan strip
                && strip.secondMiddle().isPresent()
                && was.light().equals(is.light())
                && (strip.isOfBothLights() || change.base() == null);
        return follows && now.test() instanceof CoverStripPlan strip
                ? strip.secondTimes(is.time().inSeconds() / was.time().inSeconds())
                : now.test();
    }

    private static boolean takesStart(RecipeChange change) {
        return change.base() != null && Boolean.TRUE.equals(change.base().takeStartingTime());
    }

    private Base started(Edit edit, Rig moved, RecipeChange.BaseChange change) {
        Optional<MeterReadings> meter = MeterReadings.of(edit.errors(), "/base", change.luxBefore(), change.luxNow());
        edit.errors().throwIfAny();
        StartingTime.Proposal start = startingTime.propose(moved, meter);
        edit.say("time " + Show.seconds(start.seconds()) + " carried over");
        return start.toBase(moved);
    }

    /**
     * The recipe with light and time that a verdict proposed, or that the user set against it; with the check strip planned
     * when one is wanted.
     *
     * @param presses that the base is given in; none = as it stands
     */
    public Recipe take(
            Recipe now,
            Subject subject,
            Light light,
            ExposureTime time,
            OptionalInt presses,
            Optional<CheckPlan> check,
            String source,
            String because) {
        Edit edit = new Edit();
        BaseExposure.Part was = now.base().exposure().main();
        edit.sayIf(!was.light().equals(light), was.light().notation() + " to " + light.notation());
        edit.say("time " + Show.seconds(was.time().inSeconds()) + " to " + Show.seconds(time.inSeconds()));
        BaseExposure given = taken(now.base().exposure(), light, time, source);
        Base base = new Base(presses.isPresent() ? given.inPresses(presses.getAsInt()) : given, source, because);
        TestPlan test = now.test().followingBase();
        if (check.isPresent()) {
            edit.say("check strip");
            Recipe taken = follow(now, edit, now.naming(), now.setup(), base, test, now.local());
            test = Strips.check(
                    rigs.of(taken, subject), check.get().strip(), check.get().beside());
        }
        return follow(now, edit, now.naming(), now.setup(), base, test, now.local());
    }

    /** The recipe with both parts of a split as a sheet of both told them; a strip of both that stands planned goes on about them. */
    public Recipe take(
            Recipe now, Subject subject, BaseExposure split, Optional<CheckPlan> check, String source, String because) {
        Edit edit = new Edit();
        edit.say(inWords(now.base().exposure()) + " to " + inWords(split));
        edit.sayIf(check.isPresent(), "a strip of both");
        BaseExposure.Part second = split.parts().get(1);
        Base base = new Base(split, source, because);
        TestPlan test = now.test().followingBase();
        if (check.isPresent()) {
            Recipe taken = follow(now, edit, now.naming(), now.setup(), base, test, now.local());
            test = Strips.ofBoth(rigs.of(taken, subject), check.get().strip(), second);
        } else if (test instanceof CoverStripPlan strip && strip.isOfBothLights()) {
            test = strip.onTop(second.light(), second.time(), strip.lies());
        }
        return follow(now, edit, now.naming(), now.setup(), base, test, now.local());
    }

    /** Of two parts a reading through the light of the first is about that one alone; a judgement of the print is about both. */
    private static BaseExposure taken(BaseExposure stood, Light light, ExposureTime time, String source) {
        if (!stood.isSplit() || !light.equals(stood.main().light())) {
            return stood.with(light, time);
        }
        return "read".equals(source)
                ? stood.split(new BaseExposure.Part(light, time), stood.parts().get(1))
                : stood.times(time.inSeconds() / stood.main().time().inSeconds());
    }

    /** The recipe with another base exposure, whole with all its parts. */
    public Recipe expose(Recipe now, BaseExposure base, String source, String because) {
        Edit edit = new Edit();
        edit.say(inWords(now.base().exposure()) + " to " + inWords(base));
        Base next = new Base(base, source, because);
        return follow(now, edit, now.naming(), now.setup(), next, now.test().followingBase(), now.local());
    }

    /** The recipe with a test that is planned about another base exposure. */
    public Recipe plan(Recipe now, BaseExposure base, TestPlan test, String because) {
        Edit edit = new Edit();
        edit.say("strips for a split");
        Base next = new Base(base, "own", because);
        return follow(now, edit, now.naming(), now.setup(), next, test, now.local());
    }

    private static String inWords(BaseExposure base) {
        return Show.listed(base.parts().stream()
                .map(p -> p.light().notation() + " " + Show.seconds(p.time().inSeconds()))
                .toList());
    }

    private Recipe follow(Recipe now, Edit edit, Naming naming, Setup setup, Base base, TestPlan test, Local local) {
        return now.followedBy(Ids.fresh(), Clocks.now(clock), edit.label(), naming, setup, base, test, local);
    }
}
