package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.Primary;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.rescale.Known;
import keyslate.core.script.BaseExposure;
import keyslate.server.Show;
import keyslate.server.recipe.RecipeChange.BaseChange;
import keyslate.server.recipe.RecipeChange.BasePart;
import keyslate.server.rig.Grades;
import keyslate.server.rig.Rig;
import keyslate.store.slate.Recipe.Base;
import org.jspecify.annotations.Nullable;

/**
 * The edit of the base exposure: one's own time, or the old one carried along with opening and light so that the print stays
 * as dark. Times are kept exact; the timer rounds in the script.
 */
final class BaseEdit {
    /** Nobody sets less. */
    private static final double SHORTEST_SECONDS = 0.1;

    private BaseEdit() {}

    /**
     * The base after the set-up has moved from {@code before} to {@code moved}.
     *
     * @param moved with the new set-up and still the old base
     * @param beginning the light a kind of paper begins with
     */
    static Base of(Edit edit, Rig before, Rig moved, @Nullable BaseChange change, Function<Rig, Light> beginning) {
        Base now = before.recipe().base();
        if (change != null && change.parts() != null) {
            return parts(edit, moved, presses(edit, now.exposure(), change), change.parts(), now);
        }
        if (change != null && change.thirds() != null) {
            return inLights(edit, moved, change.thirds(), now);
        }
        if (change != null && Boolean.TRUE.equals(change.greyOut())) {
            return withoutGrey(edit, before.light(), now);
        }
        Light light = light(edit, before, moved, change, beginning);
        BaseExposure stood = presses(edit, now.exposure(), change);
        edit.sayIf(!light.equals(before.light()), before.light().notation() + " to " + light.notation());
        ExposureTime own = change == null ? null : ownTime(edit, before.base(), change);
        if (own != null) {
            sayTime(edit, before.base(), own);
            boolean kept = stood.isSplit() && light.equals(before.light());
            BaseExposure given =
                    kept ? stood.times(own.inSeconds() / before.base().inSeconds()) : stood.with(light, own);
            return new Base(given, "own", kept ? "Your own time, both parts alike." : "Your own time.");
        }
        Base carried = carried(before, moved, light);
        sayTime(edit, before.base(), carried.exposure().main().time());
        BaseExposure given = carried.exposure().inPresses(stood.presses());
        return given.equals(now.exposure()) ? now : new Base(given, carried.source(), carried.because());
    }

    /** One or two lights of one's own, each with its time. */
    private static Base parts(Edit edit, Rig moved, BaseExposure stood, List<BasePart> asked, Base now) {
        if (asked.isEmpty() || asked.size() > 2) {
            edit.errors().add("/base/parts", "E_SHAPE", "A base has one part, or two.");
            return now;
        }
        List<BaseExposure.Part> parts = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            String pointer = "/base/parts/" + i;
            BasePart part = asked.get(i) == null ? new BasePart(null, null) : asked.get(i);
            Light light = edit.errors()
                    .check(
                            pointer + "/light",
                            stood.main().light(),
                            () -> moved.medium().core().read(part.light() == null ? "" : part.light()));
            ExposureTime time = edit.errors()
                    .check(
                            pointer + "/seconds",
                            stood.main().time(),
                            () -> settable(part.seconds() == null ? Double.NaN : part.seconds()));
            parts.add(new BaseExposure.Part(light, time));
        }
        if (parts.size() == 1) {
            edit.say("base of one part");
            return new Base(stood.with(parts.get(0).light(), parts.get(0).time()), "own", "Your own time.");
        }
        if (parts.get(0).light().equals(parts.get(1).light())) {
            edit.errors().add("/base/parts/1/light", "E_SHAPE", "Two parts have two lights.");
        }
        edit.say("base of two parts");
        return new Base(stood.split(parts.get(0), parts.get(1)), "own", "Your own times, in two parts.");
    }

    /** The pack that three lights print as, of one's own times (COL-34). */
    private static Base inLights(Edit edit, Rig moved, List<@Nullable Double> asked, Base now) {
        Optional<AdditiveHead> lights = moved.lights();
        if (lights.isEmpty() || asked.size() != Primary.values().length) {
            edit.errors()
                    .add(
                            "/base/thirds",
                            lights.isEmpty() ? "E_INFEASIBLE" : "E_SHAPE",
                            lights.isEmpty()
                                    ? "Only a head that prints with red, green and blue light has three times."
                                    : "Three times: red, green and blue.");
            return now;
        }
        AdditiveHead.Times stood = moved.thirds().orElseThrow();
        List<ExposureTime> times = new ArrayList<>();
        for (Primary primary : Primary.values()) {
            Double seconds = asked.get(primary.ordinal());
            times.add(edit.errors()
                    .check(
                            "/base/thirds/" + primary.ordinal(),
                            stood.of(primary),
                            () -> settable(seconds == null ? Double.NaN : seconds)));
        }
        AdditiveHead.White white = edit.errors()
                .check(
                        "/base/thirds",
                        new AdditiveHead.White(moved.light().toPack(), moved.base()),
                        () -> lights.get().white(new AdditiveHead.Times(times.get(0), times.get(1), times.get(2))));
        edit.say(times.stream()
                .map(t -> Show.seconds(t.inSeconds()))
                .collect(Collectors.joining(", ", "red, green and blue ", "")));
        return new Base(now.exposure().with(Light.dials(white.pack()), white.time()), "own", "Your own three times.");
    }

    /** The pack without its grey, at the time that lets the print stay as it is (COL-01), whatever the time does else. */
    private static Base withoutGrey(Edit edit, Light light, Base now) {
        if (light.points().isEmpty()) {
            edit.errors().add("/base/greyOut", "E_INFEASIBLE", "Only a pack has grey in it.");
            return now;
        }
        NeutralRemoval clean = NeutralRemoval.of(light.toPack().toShift());
        if (clean.neutralPoints() == 0) {
            return now;
        }
        Light without = Light.dials(clean.pack());
        String words = Show.grey(clean, " removed");
        edit.say(light.notation() + " to " + without.notation() + ", " + words);
        return new Base(
                now.exposure().with(without, now.exposure().main().time().times(clean.timeFactor())),
                now.source(),
                Show.sentence(words + ", time × " + Show.factor(clean.timeFactor())));
    }

    /** How the base is given: in one exposure, or in equal ones. */
    private static BaseExposure presses(Edit edit, BaseExposure now, @Nullable BaseChange change) {
        if (change == null || change.presses() == null) {
            return now;
        }
        BaseExposure given = edit.errors().check("/base/presses", now, () -> now.inPresses(change.presses()));
        edit.sayIf(
                given.presses() != now.presses(),
                given.presses() == 1 ? "base in one exposure" : "base in " + given.presses() + " presses");
        return given;
    }

    /** The light asked for; where the paper has become another kind, the light that kind begins with. */
    private static Light light(
            Edit edit, Rig before, Rig moved, @Nullable BaseChange change, Function<Rig, Light> beginning) {
        boolean stays = before.medium().id().equals(moved.medium().id()) && SpotEdit.reads(moved, before.light());
        Light standing = stays ? before.light() : beginning.apply(moved);
        if (change == null || change.light() == null) {
            return standing;
        }
        return edit.errors().check("/base/light", standing, () -> {
            Light asked = moved.medium().core().read(change.light());
            moved.medium().core().checkReach(asked);
            return asked;
        });
    }

    /** A light, or the grade of a paper that has but one. */
    private static String written(Rig rig, Light light) {
        return rig.paper().hasOneGrade() ? rig.paper().type() : light.notation();
    }

    private static @Nullable ExposureTime ownTime(Edit edit, ExposureTime now, BaseChange change) {
        long ways = Stream.of(change.seconds(), change.changeSeconds(), change.changeStops())
                .filter(v -> v != null)
                .count();
        if (ways > 1) {
            edit.errors()
                    .add("/base/seconds", "E_SHAPE", "Give one of a time, a change in seconds and a change in stops.");
            return null;
        }
        if (change.seconds() != null) {
            return edit.errors().check("/base/seconds", now, () -> settable(change.seconds()));
        }
        if (change.changeSeconds() != null) {
            return edit.errors()
                    .check("/base/changeSeconds", now, () -> settable(now.inSeconds() + change.changeSeconds()));
        }
        if (change.changeStops() != null) {
            return edit.errors()
                    .check(
                            "/base/changeStops",
                            now,
                            () -> settable(
                                    now.plus(Stops.of(change.changeStops())).inSeconds()));
        }
        return null;
    }

    private static ExposureTime settable(double seconds) {
        Check.positive("exposure time", seconds, "s");
        return ExposureTime.ofSeconds(
                Check.within("exposure time", seconds, SHORTEST_SECONDS, ExposureTime.LONGEST_SECONDS, "s"));
    }

    /** Opening and light take the time along; a plain default says nothing that could be carried. */
    private static Base carried(Rig before, Rig moved, Light light) {
        Base now = before.recipe().base();
        if ("default".equals(now.source())
                || !before.medium().id().equals(moved.medium().id())) {
            return new Base(now.exposure().with(light, before.base()), now.source(), now.because());
        }
        List<String> because = new ArrayList<>();
        double times = 1;
        if (before.inContact() && moved.inContact() && before.byBareLamp() == moved.byBareLamp()) {
            double factor = before.projection().timeFactor(moved.projection());
            times *= factor;
            if (factor != 1) {
                because.add(
                        "approximate for " + Show.number(moved.lightToPaper().inMm() / 10) + " cm to the paper");
            }
        }
        if (!moved.opening().equals(before.opening())) {
            times *= ApertureTrade.timeAt(before.base(), before.opening(), moved.opening())
                            .inSeconds()
                    / before.base().inSeconds();
            because.add("same light at " + Show.aperture(moved.recipe().setup().apertureMark()));
        }
        BaseExposure given = now.exposure().times(times);
        if (!light.equals(before.light()) || Grades.isOfOtherContrast(before, moved)) {
            BaseExposure.Part one = before.medium().core().asOne(given);
            given = given.with(light, one.time().times(Grades.timeFactor(before, one.light(), moved, light)));
            because.add("as dark from " + written(before, one.light()) + " to " + written(moved, light));
        }
        Optional<Known> box =
                moved.constants().between(before.paper().id(), moved.paper().id());
        if (box.isPresent()) {
            given = given.times(Stops.of(box.get().figure()).toFactor());
            because.add("for this box, as it was compared");
        }
        return because.isEmpty()
                ? now
                : new Base(
                        given,
                        now.source(),
                        Show.seconds(before.base().inSeconds()) + " carried over, " + String.join(", ", because) + ".");
    }

    private static void sayTime(Edit edit, ExposureTime before, ExposureTime after) {
        edit.sayIf(
                !before.equals(after),
                "time " + Show.seconds(before.inSeconds()) + " to " + Show.seconds(after.inSeconds()));
    }
}
