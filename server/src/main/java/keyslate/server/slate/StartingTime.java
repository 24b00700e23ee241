package keyslate.server.slate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.size.SizeChange;
import keyslate.server.Show;
import keyslate.server.slate.SlateViews.StartingTimeView;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** A first time for a new set-up: the last print of this frame carried over, or a default that says it is one. */
@Component
public class StartingTime {
    /** The time that stands before anything is known. */
    public static final double DEFAULT_SECONDS = 10;

    private static final Stops UNCERTAINTY = Stops.ofFraction(1, 6);
    private static final double SAME_FACTOR = 0.005;

    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final Rigs rigs;
    private final VariableContrastPaper paper;

    StartingTime(SlateRepository slates, SheetRepository sheets, Rigs rigs, VariableContrastPaper paper) {
        this.slates = slates;
        this.sheets = sheets;
        this.rigs = rigs;
        this.paper = paper;
    }

    /** The proposal for a rig. */
    public StartingTimeView propose(Rig rig) {
        return lastPrint(rig).map(p -> rescaled(rig, p)).orElseGet(() -> plain(rig));
    }

    private Optional<Sheet> lastPrint(Rig rig) {
        return slates.ofFrame(rig.frame().id()).stream()
                .map(Slate::id)
                .flatMap(id -> sheets.of(id).stream())
                .filter(s -> "PRINT".equals(s.kind()) && "HUNG".equals(s.state()))
                .max(Comparator.comparing(Sheet::begunAt));
    }

    private StartingTimeView plain(Rig rig) {
        return new StartingTimeView(
                DEFAULT_SECONDS,
                "default",
                "No print of this frame is on record.",
                List.of(Show.seconds(DEFAULT_SECONDS)
                        + " is a plain default and not a measurement. The first strip finds the time."),
                Math.abs(rig.recipe().setup().baseSeconds() - DEFAULT_SECONDS) > 0.05
                        && "default".equals(rig.recipe().setup().baseSource()));
    }

    private StartingTimeView rescaled(Rig rig, Sheet print) {
        Rig before = rigs.of(slates.recipe(print.recipeId()));
        List<String> lines = new ArrayList<>();
        Magnification was = Magnification.of(print.magnification());
        lines.add(Show.seconds(before.base().inSeconds()) + " at " + times(was) + ", "
                + Show.aperture(before.aperture().engraved()) + ", grade "
                + before.filter().label() + ": print " + print.number() + " of “"
                + before.recipe().title() + "”");
        ExposureTime time = before.base();
        double size = SizeChange.timeFactor(was, rig.magnification(), 1);
        if (Math.abs(size - 1) > SAME_FACTOR) {
            lines.add("× ((1 + " + times(rig.magnification()) + ") ÷ (1 + " + times(was) + "))² = " + factor(size)
                    + " for the size");
        }
        time = time.times(size);
        ExposureTime opened = ApertureTrade.timeAt(
                time, before.aperture().trueNumber(), rig.aperture().trueNumber());
        if (!opened.equals(time)) {
            lines.add("× " + factor(opened.inSeconds() / time.inSeconds()) + " for "
                    + Show.aperture(rig.aperture().engraved()) + " instead of "
                    + Show.aperture(before.aperture().engraved()));
        }
        ExposureTime graded = GradeAdvice.held(paper, before.filter(), rig.filter(), opened, NextRecipe.HELD_NET);
        if (before.filter() != rig.filter()) {
            lines.add("× " + factor(graded.inSeconds() / opened.inSeconds()) + " for grade "
                    + rig.filter().label() + ", light tones held");
        }
        double seconds = TimerSteps.tenths().nearest(graded).time().inSeconds();
        lines.add("= " + Show.seconds(seconds) + ", ± ⅙ stop: "
                + Show.seconds(graded.plus(UNCERTAINTY.negated()).inSeconds()) + " to "
                + Show.seconds(graded.plus(UNCERTAINTY).inSeconds()));
        if (!before.paper().batch().equals(rig.paper().batch())) {
            lines.add("Another paper or batch: make a strip of three patches first.");
        }
        boolean differs = Math.abs(seconds - rig.recipe().setup().baseSeconds()) > 0.05;
        return new StartingTimeView(
                seconds, "rescaled", "Carried over from the last print of this frame.", lines, differs);
    }

    private static String times(Magnification m) {
        return String.format(Locale.ROOT, "%.2f ×", m.inTimes());
    }

    private static String factor(double factor) {
        return String.format(Locale.ROOT, "%.2f", factor);
    }
}
