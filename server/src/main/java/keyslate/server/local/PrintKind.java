package keyslate.server.local;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.core.colour.Primary;
import keyslate.core.darkroom.Negative;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.light.Light;
import keyslate.core.local.HandLimits;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LocalWork;
import keyslate.core.script.PrintScript;
import keyslate.server.Show;
import keyslate.server.local.LocalViews.AreaTimeView;
import keyslate.server.local.LocalViews.AreaView;
import keyslate.server.local.LocalViews.LocalView;
import keyslate.server.local.LocalViews.StopDownView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetPlan;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.sheet.StepWords;
import keyslate.store.slate.Recipe;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A whole sheet: the base with its holds, then the burns. */
@Component
public class PrintKind implements SheetKind {
    public static final String ID = "PRINT";

    @Override
    public String id() {
        return ID;
    }

    @Override
    public String name(Rig rig) {
        return rig.subject().isProof() ? "Proof" : "Work print";
    }

    @Override
    public String station() {
        return "print";
    }

    @Override
    public String lookedAtStation(Rig rig) {
        return "judge";
    }

    @Override
    public SheetPlan plan(Rig rig, Optional<Negative> small) {
        return new SheetPlan(rig.crop(), rig.atEnlarger(script(rig)), 1);
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        return rig.exposure().isSplit() || rig.lights().isPresent()
                ? rig.exposureInWords()
                : Show.seconds(sheet.baseSeconds()) + ", " + sheet.light().notation();
    }

    @Override
    public NextStepView next(Rig standing, SheetView last) {
        String label = last.label().toLowerCase(Locale.ROOT);
        boolean proof = standing.subject().isProof();
        if (!isDecided(standing.recipe(), last)) {
            return new NextStepView(
                    lookedAtStation(standing),
                    "Judge " + label + ".",
                    proof
                            ? "Is the film edge just black? Then accept it, and its frames can be compared on Rolls."
                            : "Lay it beside the sheet before it, in the light it will hang in.",
                    "Go to Judge");
        }
        return new NextStepView(
                station(),
                "Expose the next " + (proof ? "proof" : "print") + ": " + standing.exposureInWords() + ".",
                standing.recipe().local().areas().isEmpty()
                        ? "Changed since " + label + "."
                        : inWords(standing.recipe().local()),
                "Go to Print");
    }

    /** "1 held back, 2 burned. Everything else holds." */
    public static String inWords(Recipe.Local local) {
        long held = local.areas().stream().filter(a -> a.change().isHold()).count();
        long burned = local.areas().stream().filter(a -> a.change().isBurn()).count();
        return held + " held back, " + burned + " burned. Everything else holds.";
    }

    /** The script of the recipe; refused when the holds do not fit. */
    public static List<ExposureStep> script(Rig rig) {
        return rig.inLights(
                PrintScript.plan(rig.exposure(), rig.recipe().local().toWork(), scriptRig(rig)));
    }

    /** The base alone. */
    public static List<ExposureStep> straight(Rig rig) {
        return rig.inLights(PrintScript.plan(rig.exposure(), LocalWork.none(), scriptRig(rig)));
    }

    private static PrintScript.Rig scriptRig(Rig rig) {
        return new PrintScript.Rig(
                rig.recipe().setup().apertureMark(),
                rig.timer(),
                rig.lag(),
                rig.settings(),
                (area, base) -> factor(rig, area, base),
                rig.exposure().isSplit() ? Optional.of(rig.one()) : Optional.empty());
    }

    private static double factor(Rig rig, LocalWork.Area area, BaseExposure.Part base) {
        return rig.medium()
                .core()
                .burnFactor(
                        base.light(),
                        base.time(),
                        area.change().change(),
                        area.light().orElse(base.light()));
    }

    /** The local plan as the page shows it. */
    public LocalView view(Rig rig) {
        Recipe.Local local = rig.recipe().local();
        List<AreaView> areas = local.areas().stream().map(AreaView::of).toList();
        List<AreaTimeView> times = local.areas().stream().map(a -> time(rig, a)).toList();
        List<ExposureStep> steps = new ArrayList<>();
        String problem = null;
        try {
            steps.addAll(script(rig));
        } catch (QuantityException e) {
            problem = Show.sentence(e.getMessage());
        }
        double total = steps.stream().mapToDouble(ExposureStep::totalSetSeconds).sum();
        return new LocalView(
                areas,
                local.way().name(),
                times,
                StepWords.of(rig.atEnlarger(steps), rig),
                Math.rint(total * 10) / 10,
                problem,
                stopDown(rig));
    }

    private static AreaTimeView time(Rig rig, Recipe.Area area) {
        LocalChange change = area.change();
        boolean ownLight = change.isBurn() && area.light().isPresent();
        // Of two parts a burn in the base's own light is given through both, and a light of its own is reckoned from
        // what they are worth together.
        double seconds = ownLight
                ? change.secondsOn(rig.one().time())
                : rig.exposure().parts().stream()
                        .mapToDouble(p -> change.secondsOn(p.time()))
                        .sum();
        String note = "";
        boolean workable = true;
        if (change.isHold()) {
            HandLimits.Feasibility found = HandLimits.DEFAULT.check(
                    shortestPart(rig), change, rig.lens().marksPerStop());
            workable = found.longEnough() && found.fractionFits();
            if (!found.longEnough()) {
                note = "too short for a hand";
            } else if (!found.fractionFits()) {
                note = "over 80 % of the base";
            }
        } else if (ownLight) {
            Light light = area.light().get();
            double factor =
                    rig.medium().core().burnFactor(rig.one().light(), rig.one().time(), change.change(), light);
            seconds *= factor;
            note = "through " + light.notation() + ", " + Show.factor(factor) + " × the seconds for a mid tone"
                    + atTones(rig.medium()
                            .core()
                            .burnAtTones(rig.one().light(), rig.one().time(), change.change(), light));
        }
        return new AreaTimeView(area.key(), change.change().inStops(), seconds, change.toPercent(), workable, note);
    }

    /** What a burn through another light does to a light tone and to a shadow, beside the middle it is reckoned for. */
    private static String atTones(List<Stops> stops) {
        return stops.isEmpty()
                ? ""
                : "; " + Show.stops(stops.get(0)) + " in a light tone, " + Show.stops(stops.get(1)) + " in the middle, "
                        + Show.stops(stops.get(2)) + " in a shadow";
    }

    /** Hands have to manage every part of a base, and each light of three. */
    private static ExposureTime shortestPart(Rig rig) {
        Optional<ExposureTime> light =
                rig.thirds().flatMap(t -> Stream.of(Primary.values()).map(t::of).min(ExposureTime::compareTo));
        return light.isPresent() ? light.get() : shortest(rig);
    }

    private static ExposureTime shortest(Rig rig) {
        return rig.exposure().parts().stream()
                .map(BaseExposure.Part::time)
                .min(ExposureTime::compareTo)
                .orElseThrow();
    }

    private static @Nullable StopDownView stopDown(Rig rig) {
        int marks = rig.lens().marksPerStop();
        List<LocalChange> holds = rig.recipe().local().areas().stream()
                .map(Recipe.Area::change)
                .filter(LocalChange::isHold)
                .toList();
        Stops most = holds.stream()
                .map(h -> HandLimits.DEFAULT.check(rig.base(), h, marks).stopDown())
                .max(Stops::compareTo)
                .orElse(Stops.ZERO);
        if (most.inStops() <= 0) {
            return null;
        }
        FNumber now = rig.aperture().trueNumber();
        double smallest = ApertureMark.ofEngraved(rig.lens().smallestMark(), marks)
                .trueNumber()
                .inFStops();
        double wanted = Math.min(smallest, now.inFStops() * Math.sqrt(most.toFactor()));
        ApertureMark mark = ApertureMark.nearest(FNumber.of(wanted), marks);
        if (mark.trueNumber().inFStops() <= now.inFStops() * 1.01) {
            return null;
        }
        ExposureTime base;
        try {
            base = ApertureTrade.timeAt(rig.base(), now, mark.trueNumber());
        } catch (QuantityException e) {
            return null;
        }
        double shortest =
                holds.stream().mapToDouble(h -> -h.secondsOn(base)).min().orElse(0);
        return new StopDownView(
                "A hold is too short for a hand.",
                "Stop down to " + Show.aperture(mark.engraved()) + ": the base becomes "
                        + Show.seconds(base.inSeconds()) + " and the shortest hold " + Show.seconds(shortest) + ".",
                mark.engraved(),
                base.inSeconds());
    }
}
