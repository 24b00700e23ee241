package keyslate.server.recipe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.size.SizeChange;
import keyslate.server.Show;
import keyslate.server.local.PrintKind;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** A first base exposure for a new set-up: the last print of this frame carried over, or a default that says it is one. */
@Component
public class StartingTime {
    private static final double DEFAULT_SECONDS = 10;
    private static final Stops UNCERTAINTY = Stops.ofFraction(1, 6);
    private static final double SAME_FACTOR = 0.005;

    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final Rigs rigs;

    StartingTime(SlateRepository slates, SheetRepository sheets, RecipeRepository recipes, Rigs rigs) {
        this.slates = slates;
        this.sheets = sheets;
        this.recipes = recipes;
        this.rigs = rigs;
    }

    /**
     * A proposed first exposure with its arithmetic; rescaled, or a plain default that says so.
     *
     * @param differs whether it is another than what stands
     */
    public record Proposal(
            LightView light, double seconds, String source, String headline, List<String> arithmetic, boolean differs) {
        Recipe.Base toBase(Rig rig) {
            return new Recipe.Base(
                    BaseExposure.of(rig.medium().core().read(light.notation()), ExposureTime.ofSeconds(seconds)),
                    source,
                    String.join("\n", arithmetic));
        }
    }

    /** The proposal for a rig of this frame. */
    public Proposal propose(Rig rig, String frameId) {
        return lastPrint(rig, frameId).map(p -> rescaled(rig, p)).orElseGet(() -> plain(rig));
    }

    /** The last print of the frame on this kind of paper. */
    private Optional<Sheet> lastPrint(Rig rig, String frameId) {
        return slates.ofFrame(frameId).stream()
                .map(Slate::id)
                .flatMap(id -> sheets.of(id).stream())
                .filter(s -> PrintKind.ID.equals(s.kind()) && s.isHung())
                .filter(s -> s.stood() == null
                        || s.stood().paper().kind().equals(rig.medium().id()))
                .max(Comparator.comparing(Sheet::begunAt));
    }

    /** The light that the paper of a rig begins with. */
    Light light(Rig rig) {
        return starting(rig).light();
    }

    private StartingLight starting(Rig rig) {
        return StartingLight.of(
                rig,
                sheets.lightsKeptOn(rig.paper().id()).stream().map(Light::of).toList());
    }

    private Proposal plain(Rig rig) {
        StartingLight light = starting(rig);
        boolean standsAsDefault = "default".equals(rig.recipe().base().source());
        return new Proposal(
                LightView.of(light.light()),
                DEFAULT_SECONDS,
                "default",
                "No print of this frame is on record.",
                List.of(
                        light.because(),
                        Show.seconds(DEFAULT_SECONDS)
                                + " is a plain default and not a measurement. The first strip finds the time."),
                standsAsDefault
                        && (Math.abs(rig.base().inSeconds() - DEFAULT_SECONDS) > 0.05
                                || !rig.light().equals(light.light())));
    }

    private Proposal rescaled(Rig rig, Sheet print) {
        Rig before = rigs.of(print, recipes.get(print.recipeId()), rig);
        List<String> lines = new ArrayList<>();
        Magnification was = Magnification.of(print.magnification());
        lines.add(Show.seconds(before.base().inSeconds()) + " at " + times(was) + ", "
                + Show.aperture(before.aperture().engraved()) + ", "
                + before.light().notation() + ": print "
                + print.number() + " of “" + before.recipe().naming().title() + "”");
        ExposureTime time = before.base();
        double size = SizeChange.timeFactor(was, rig.magnification(), 1);
        if (Math.abs(size - 1) > SAME_FACTOR) {
            lines.add("× ((1 + " + times(rig.magnification()) + ") ÷ (1 + " + times(was) + "))² = " + Show.factor(size)
                    + " for the size");
        }
        time = time.times(size);
        ExposureTime opened = ApertureTrade.timeAt(
                time, before.aperture().trueNumber(), rig.aperture().trueNumber());
        if (!opened.equals(time)) {
            lines.add("× " + Show.factor(opened.inSeconds() / time.inSeconds()) + " for "
                    + Show.aperture(rig.aperture().engraved()) + " instead of "
                    + Show.aperture(before.aperture().engraved()));
        }
        // A default light gives way to the one the print was made with; a light of one's own is kept, and the time
        // follows.
        Light light = "default".equals(rig.recipe().base().source()) ? before.light() : rig.light();
        double factor = rig.medium().core().timeFactor(before.light(), light);
        ExposureTime through = opened.times(factor);
        if (!light.equals(before.light())) {
            lines.add("× " + Show.factor(factor) + " for " + light.notation() + ", as dark");
        }
        lines.add("= " + Show.seconds(through.inSeconds()) + ", ± ⅙ stop: "
                + Show.seconds(through.plus(UNCERTAINTY.negated()).inSeconds()) + " to "
                + Show.seconds(through.plus(UNCERTAINTY).inSeconds()));
        if (!before.paper().id().equals(rig.paper().id())) {
            lines.add("Another paper or batch: make a strip of three patches first.");
        }
        boolean differs = Math.abs(through.inSeconds() - rig.base().inSeconds()) > 0.05 || !light.equals(rig.light());
        return new Proposal(
                LightView.of(light),
                through.inSeconds(),
                "rescaled",
                "Carried over from the last print of this frame.",
                lines,
                differs);
    }

    private static String times(Magnification m) {
        return String.format(Locale.ROOT, "%.2f ×", m.inTimes());
    }
}
