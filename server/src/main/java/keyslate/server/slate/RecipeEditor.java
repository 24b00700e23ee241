package keyslate.server.slate;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.Show;
import keyslate.server.local.Shapes;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.slate.SlateViews.AreaView;
import keyslate.server.slate.SlateViews.StartingTimeView;
import keyslate.server.test.StripPlanner;
import keyslate.server.web.FieldErrors;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.Area;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Recipe.Setup;
import keyslate.store.slate.Recipe.Strip;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Turns an edit into the recipe that follows. Every field is checked and all errors are said at once; what an edit drags
 * along (time with opening, time with grade, patch width with count) is computed and named in the edit's label.
 */
@Component
public class RecipeEditor {
    private static final int MOST_AREAS = 24;
    private static final double SHORTEST_SIDE_MM = 20;
    private static final double LONGEST_SIDE_MM = 2000;

    private final StoresRepository stores;
    private final Rigs rigs;
    private final StartingTime startingTime;
    private final VariableContrastPaper paper;
    private final Clock clock;

    RecipeEditor(
            StoresRepository stores, Rigs rigs, StartingTime startingTime, VariableContrastPaper paper, Clock clock) {
        this.stores = stores;
        this.rigs = rigs;
        this.startingTime = startingTime;
        this.paper = paper;
        this.clock = clock;
    }

    /** The recipe that follows {@code now}; refuses with every field that cannot be taken. */
    public Recipe edit(Recipe now, RecipeChange change) {
        FieldErrors errors = new FieldErrors();
        List<String> said = new ArrayList<>();
        String title = text(errors, "/title", change.title(), now.title(), 1, 80, said, "title");
        String intent = text(errors, "/intent", change.intent(), now.intent(), 0, 400, said, "intent");
        Setup setup = setup(errors, now, change, said);
        errors.throwIfAny();
        Recipe withSetup = follow(now, title, intent, setup, now.strip(), now.areas(), said);
        if (Boolean.TRUE.equals(change.takeStartingTime())) {
            StartingTimeView start = startingTime.propose(rigs.of(withSetup));
            String because = String.join("\n", start.arithmetic());
            said.add("time " + Show.seconds(start.seconds()) + " carried over");
            setup = withSetup.setup().withTime(start.seconds(), start.source(), because);
            withSetup = follow(now, title, intent, setup, now.strip(), now.areas(), said);
        }
        Rig rig = rigs.of(withSetup);
        checkGeometry(errors, rig, change);
        errors.throwIfAny();
        Strip strip = strip(errors, rig, change, said);
        List<Area> areas = areas(errors, now.areas(), change.areas(), said);
        errors.throwIfAny();
        return follow(now, title, intent, setup, strip, areas, said);
    }

    private Recipe follow(
            Recipe now, String title, String intent, Setup setup, Strip strip, List<Area> areas, List<String> said) {
        String label = said.isEmpty() ? "no change" : String.join(", ", said);
        return new Recipe(
                Ids.fresh(), now.slateId(), now.id(), Clocks.now(clock), label, title, intent, setup, strip, areas);
    }

    private Setup setup(FieldErrors errors, Recipe now, RecipeChange change, List<String> said) {
        Setup s = now.setup();
        String enlargerId =
                known(errors, "/enlargerId", change.enlargerId(), s.enlargerId(), id -> stores.enlarger(id));
        Lens lens = stores.lens(known(errors, "/lensId", change.lensId(), s.lensId(), id -> stores.lens(id)))
                .orElseThrow();
        Paper box = stores.paper(known(errors, "/paperId", change.paperId(), s.paperId(), id -> stores.paper(id)))
                .orElseThrow();
        boolean newBox = !box.id().equals(s.paperId());
        double width = length(
                errors,
                "/sheetWidthMm",
                change.sheetWidthMm(),
                newBox ? box.widthMm() : s.sheetWidthMm(),
                "sheet width");
        double height = length(
                errors,
                "/sheetHeightMm",
                change.sheetHeightMm(),
                newBox ? box.heightMm() : s.sheetHeightMm(),
                "sheet height");
        double border = errors.check(
                "/borderMm",
                s.borderMm(),
                () -> Check.within("border", or(change.borderMm(), s.borderMm()), 0, 200, "mm"));
        double place = errors.check(
                "/cropPlace",
                s.cropPlace(),
                () -> Check.within("place of the crop", or(change.cropPlace(), s.cropPlace()), 0, 1, ""));
        String fit = oneOf(errors, "/fit", change.fit(), s.fit(), Set.of("WHOLE_PICTURE", "FILL_SHEET"));
        String filter = errors.check(
                "/filter",
                s.filter(),
                () -> GradeFilter.ofLabel(change.filter() == null ? s.filter() : change.filter())
                        .label());
        double mark = aperture(errors, change, s, lens);
        if (!enlargerId.equals(s.enlargerId())) {
            said.add("another enlarger");
        }
        if (!lens.id().equals(s.lensId())) {
            said.add(lens.name());
        }
        if (newBox) {
            said.add(box.name());
        }
        if (width != s.sheetWidthMm() || height != s.sheetHeightMm()) {
            said.add("sheet " + Show.number(width) + " × " + Show.number(height) + " mm");
        }
        if (border != s.borderMm()) {
            said.add("border " + Show.number(border) + " mm");
        }
        if (!fit.equals(s.fit()) || place != s.cropPlace()) {
            said.add("crop");
        }
        Setup moved = new Setup(
                enlargerId,
                lens.id(),
                mark,
                box.id(),
                width,
                height,
                border,
                fit,
                place,
                filter,
                s.baseSeconds(),
                s.baseSource(),
                s.baseBecause());
        return time(errors, now, moved, lens, change, said);
    }

    /** The time: the user's own, or the old one carried along with opening and grade so that the print stays as light. */
    private Setup time(FieldErrors errors, Recipe now, Setup moved, Lens lens, RecipeChange change, List<String> said) {
        Setup s = now.setup();
        boolean opened = moved.apertureMark() != s.apertureMark();
        boolean graded = !moved.filter().equals(s.filter());
        if (opened) {
            said.add(Show.aperture(s.apertureMark()) + " to " + Show.aperture(moved.apertureMark()));
        }
        if (graded) {
            said.add("grade " + s.filter() + " to " + moved.filter());
        }
        if (change.baseSeconds() != null || change.baseChangeStops() != null) {
            double own = ownTime(errors, s.baseSeconds(), change);
            if (own != s.baseSeconds()) {
                said.add("time " + Show.seconds(s.baseSeconds()) + " to " + Show.seconds(own));
            }
            return moved.withTime(own, "own", "Your own time.");
        }
        if (!opened && !graded || "default".equals(s.baseSource())) {
            return moved;
        }
        ExposureTime time = ExposureTime.ofSeconds(s.baseSeconds());
        List<String> because = new ArrayList<>();
        if (opened) {
            Lens before = stores.lens(s.lensId()).orElse(lens);
            ApertureMark from = ApertureMark.ofEngraved(s.apertureMark(), before.marksPerStop());
            ApertureMark to = ApertureMark.ofEngraved(moved.apertureMark(), lens.marksPerStop());
            time = ApertureTrade.timeAt(time, from.trueNumber(), to.trueNumber());
            because.add("same light at " + Show.aperture(to.engraved()));
        }
        if (graded) {
            time = GradeAdvice.held(
                    paper,
                    GradeFilter.ofLabel(s.filter()),
                    GradeFilter.ofLabel(moved.filter()),
                    time,
                    NextRecipe.HELD_NET);
            because.add("light tones held from grade " + s.filter() + " to " + moved.filter());
        }
        double seconds = TimerSteps.tenths().nearest(time).time().inSeconds();
        if (seconds != s.baseSeconds()) {
            said.add("time " + Show.seconds(s.baseSeconds()) + " to " + Show.seconds(seconds));
        }
        String why = Show.seconds(s.baseSeconds()) + " carried over, " + String.join(", ", because) + ".";
        return moved.withTime(seconds, s.baseSource(), why);
    }

    /** The user's own time: typed in seconds, or as a change in stops of what stands. */
    private static double ownTime(FieldErrors errors, double now, RecipeChange change) {
        if (change.baseSeconds() != null) {
            return errors.check(
                    "/baseSeconds",
                    now,
                    () -> TimerSteps.tenths()
                            .nearest(ExposureTime.ofSeconds(change.baseSeconds()))
                            .time()
                            .inSeconds());
        }
        return errors.check(
                "/baseChangeStops",
                now,
                () -> TimerSteps.tenths()
                        .nearest(ExposureTime.ofSeconds(now).plus(Stops.of(change.baseChangeStops())))
                        .time()
                        .inSeconds());
    }

    /** A typed opening must be on the ring; a lens that is changed keeps the nearest opening it has. */
    private static double aperture(FieldErrors errors, RecipeChange change, Setup s, Lens lens) {
        List<ApertureMark> ring = ApertureMark.ring(lens.openMark(), lens.smallestMark(), lens.marksPerStop());
        if (change.apertureMark() == null) {
            return ring.stream()
                    .map(ApertureMark::engraved)
                    .min(java.util.Comparator.comparingDouble(m -> Math.abs(Math.log(m / s.apertureMark()))))
                    .orElseThrow();
        }
        double typed = change.apertureMark();
        Optional<ApertureMark> on =
                ring.stream().filter(m -> Math.abs(m.engraved() - typed) < 0.05).findFirst();
        if (on.isEmpty()) {
            errors.add(
                    "/apertureMark",
                    "E_RANGE",
                    "The " + lens.name() + " has no f/" + Show.number(typed) + ": it goes from "
                            + Show.aperture(lens.openMark()) + " to " + Show.aperture(lens.smallestMark())
                            + (lens.marksPerStop() == 1 ? " in full stops." : " in half stops."));
        }
        return on.map(ApertureMark::engraved).orElse(s.apertureMark());
    }

    private static void checkGeometry(FieldErrors errors, Rig rig, RecipeChange change) {
        if (!rig.bordersFit()) {
            String pointer = change.borderMm() != null || change.sheetWidthMm() == null ? "/borderMm" : "/sheetWidthMm";
            errors.add(
                    pointer,
                    "E_RANGE",
                    "Borders of " + Show.number(rig.recipe().setup().borderMm()) + " mm leave no picture on a sheet of "
                            + Show.number(rig.sheetWidth().inMm()) + " × "
                            + Show.number(rig.sheetHeight().inMm()) + " mm.");
        }
    }

    private static Strip strip(FieldErrors errors, Rig rig, RecipeChange change, List<String> said) {
        Strip s = rig.recipe().strip();
        String kind = oneOf(errors, "/stripKind", change.stripKind(), s.kind(), Set.of("EQUAL_STOPS", "EQUAL_SECONDS"));
        String direction = oneOf(
                errors,
                "/stripDirection",
                change.stripDirection(),
                s.direction(),
                Set.of("DARK_RIGHT", "DARK_LEFT", "DARK_BOTTOM", "DARK_TOP"));
        int patches = errors.check(
                "/stripPatches",
                s.patches(),
                () -> Check.count(
                        "patches", change.stripPatches() == null ? s.patches() : change.stripPatches(), 2, 15));
        double stepStops = errors.check(
                "/stripStepStops",
                s.stepStops(),
                () -> Check.within(
                        "step",
                        Check.positive("step", or(change.stripStepStops(), s.stepStops()), "stop"),
                        1.0 / 24,
                        3,
                        "stops"));
        double stepSeconds = errors.check(
                "/stripStepSeconds",
                s.stepSeconds(),
                () -> Check.within(
                        "step",
                        Check.positive("step", or(change.stripStepSeconds(), s.stepSeconds()), "s"),
                        0.1,
                        600,
                        "s"));
        Double centre = centre(errors, change, s);
        double room = StripPlanner.room(rig, direction);
        double across = StripPlanner.roomAcross(rig, direction);
        boolean refit = patches != s.patches()
                || StripPlanner.along(direction) != StripPlanner.along(s.direction())
                || s.patches() * s.patchMm() > room + 0.05;
        double patchMm = change.stripPatchMm() != null
                ? errors.check("/stripPatchMm", s.patchMm(), () -> Check.positive("patch", change.stripPatchMm(), "mm"))
                : refit ? Math.floor(room / patches) : s.patchMm();
        if (patches * patchMm > room + 0.05) {
            errors.add(
                    "/stripPatchMm",
                    "E_RANGE",
                    patches + " patches of " + Show.number(patchMm) + " mm make a strip of "
                            + Show.number(patches * patchMm) + " mm, longer than the picture on this paper ("
                            + Show.number(room) + " mm). " + Show.number(Math.floor(room / patches)) + " mm fit.");
        }
        double breadth = change.stripBreadthMm() != null
                ? errors.check(
                        "/stripBreadthMm", s.breadthMm(), () -> Check.positive("strip", change.stripBreadthMm(), "mm"))
                : Math.min(s.breadthMm(), Math.floor(across));
        if (breadth > across + 0.05) {
            errors.add(
                    "/stripBreadthMm",
                    "E_RANGE",
                    "A strip of " + Show.number(breadth) + " mm is broader than the picture on this paper ("
                            + Show.number(across) + " mm).");
        }
        Double place = Boolean.TRUE.equals(change.stripPlacedByComputation()) ? null : s.place();
        if (change.stripPlace() != null) {
            place = errors.check(
                    "/stripPlace", s.place(), () -> Check.within("place of the strip", change.stripPlace(), 0, 1, ""));
        }
        Strip strip = new Strip(kind, centre, stepStops, stepSeconds, patches, direction, patchMm, breadth, place);
        if (!strip.equals(s)) {
            said.add("strip plan");
        }
        return strip;
    }

    private static @Nullable Double centre(FieldErrors errors, RecipeChange change, Strip s) {
        if (Boolean.TRUE.equals(change.stripFollowsBase())) {
            return null;
        }
        if (change.stripCentreSeconds() == null) {
            return s.centreSeconds();
        }
        return errors.check(
                "/stripCentreSeconds",
                s.centreSeconds(),
                () -> TimerSteps.tenths()
                        .nearest(ExposureTime.ofSeconds(change.stripCentreSeconds()))
                        .time()
                        .inSeconds());
    }

    private static List<Area> areas(
            FieldErrors errors, List<Area> now, @Nullable List<AreaView> asked, List<String> said) {
        if (asked == null) {
            return now;
        }
        if (asked.size() > MOST_AREAS) {
            errors.add(
                    "/areas",
                    "E_SHAPE",
                    "A plan takes up to " + MOST_AREAS + " areas; more than that asks for a mask.");
        }
        List<Area> areas = new ArrayList<>();
        Set<String> keys = new HashSet<>();
        for (int i = 0; i < asked.size(); i++) {
            AreaView a = asked.get(i);
            String at = "/areas/" + i;
            String name = a.name() == null ? "" : a.name().strip();
            if (name.isEmpty() || name.length() > 40) {
                errors.add(at + "/name", "E_SHAPE", "Name the area in 1 to 40 characters.");
            }
            if (a.key() == null || !keys.add(a.key())) {
                errors.add(at + "/key", "E_SHAPE", "Each area needs a key of its own.");
            }
            String shape = errors.check(at + "/shape", "{}", () -> {
                if (a.shape() == null || a.shape().points() == null || a.shape().kind() == null) {
                    throw new keyslate.core.quantity.QuantityException(
                            keyslate.core.quantity.QuantityException.Kind.WRONG_SHAPE,
                            "outline",
                            "draw the outline of the area");
                }
                Shapes.toCore(a.shape());
                return Shapes.toJson(a.shape());
            });
            double soft = errors.check(at + "/softEdge", 0.05, () -> Check.within("soft edge", a.softEdge(), 0, 1, ""));
            double change = errors.check(
                    at + "/changeStops", 0.0, () -> Check.within("change", a.changeStops(), -4, 6, "stops"));
            String filter = errors.check(
                    at + "/filter",
                    null,
                    () -> a.filter() == null
                            ? null
                            : GradeFilter.ofLabel(a.filter()).label());
            String tool = a.tool() == null ? "" : a.tool().strip();
            areas.add(new Area(
                    a.key(), name, shape, soft, change, filter, tool.substring(0, Math.min(60, tool.length()))));
        }
        if (!areas.equals(now)) {
            said.add(
                    areas.size() > now.size() ? "new area" : areas.size() < now.size() ? "area removed" : "local plan");
        }
        return areas;
    }

    /** The recipe with grade and time that a verdict proposed, or that the user set against it. */
    public Recipe take(Recipe now, String filter, double seconds, String source, String because) {
        Setup s = now.setup();
        Setup graded = s.withFilter(GradeFilter.ofLabel(filter).label());
        double set = TimerSteps.tenths()
                .nearest(ExposureTime.ofSeconds(seconds))
                .time()
                .inSeconds();
        List<String> said = new ArrayList<>();
        if (!s.filter().equals(graded.filter())) {
            said.add("grade " + s.filter() + " to " + graded.filter());
        }
        said.add("time " + Show.seconds(s.baseSeconds()) + " to " + Show.seconds(set));
        return follow(
                now,
                now.title(),
                now.intent(),
                graded.withTime(set, source, because),
                now.strip().followingBase(),
                now.areas(),
                said);
    }

    private static double or(@Nullable Double given, double now) {
        return given == null ? now : given;
    }

    private static double length(FieldErrors errors, String pointer, @Nullable Double given, double now, String name) {
        return errors.check(
                pointer, now, () -> Check.within(name, or(given, now), SHORTEST_SIDE_MM, LONGEST_SIDE_MM, "mm"));
    }

    private static <T> String known(
            FieldErrors errors,
            String pointer,
            @Nullable String given,
            String now,
            java.util.function.Function<String, Optional<T>> find) {
        if (given == null || find.apply(given).isPresent()) {
            return given == null ? now : given;
        }
        errors.add(pointer, "E_SHAPE", "This is not in Stores any more.");
        return now;
    }

    private static String oneOf(
            FieldErrors errors, String pointer, @Nullable String given, String now, Set<String> allowed) {
        if (given == null || allowed.contains(given)) {
            return given == null ? now : given;
        }
        errors.add(pointer, "E_SHAPE", "This choice does not exist.");
        return now;
    }

    private static String text(
            FieldErrors errors,
            String pointer,
            @Nullable String given,
            String now,
            int shortest,
            int longest,
            List<String> said,
            String name) {
        if (given == null) {
            return now;
        }
        String stripped = given.strip();
        if (stripped.length() < shortest || stripped.length() > longest) {
            errors.add(pointer, "E_SHAPE", "Write " + shortest + " to " + longest + " characters here.");
            return now;
        }
        if (!stripped.equals(now)) {
            said.add(name);
        }
        return stripped;
    }
}
