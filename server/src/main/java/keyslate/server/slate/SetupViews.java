package keyslate.server.slate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.Part;
import keyslate.core.size.PrintFit;
import keyslate.server.Show;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.slate.SlateViews.BaseView;
import keyslate.server.slate.SlateViews.NamingView;
import keyslate.server.slate.SlateViews.SetupView;
import keyslate.server.subject.Subject;
import keyslate.store.json.StoredTone;
import keyslate.store.slate.Recipe;
import org.jspecify.annotations.Nullable;

/** The set-up of a rig as it is shown. */
final class SetupViews {
    private static final double SOFT_WITHIN_STOPS_OF_OPEN = 0.9;
    private static final double COVERS_SLACK_MM = 0.5;
    private static final double NOTHING_LOST_MM = 0.05;

    private SetupViews() {}

    static NamingView naming(Recipe.Naming n) {
        return new NamingView(
                n.title(),
                n.intent(),
                n.whiteWanted(),
                n.blackWanted(),
                n.tones().stream().map(StoredTone::of).toList());
    }

    static BaseView base(Rig rig) {
        Recipe.Base base = rig.recipe().base();
        return new BaseView(
                LightView.of(rig.light()), rig.base().inSeconds(), setSeconds(rig), base.source(), base.because());
    }

    /** What one sets on the timer for the base; beyond the timer's end the time itself. */
    private static double setSeconds(Rig rig) {
        double set = rig.base().inSeconds() + rig.lag().inSeconds();
        try {
            return rig.timer().nearest(rig.lag().toSet(rig.base())).time().inSeconds();
        } catch (QuantityException e) {
            return set;
        }
    }

    static SetupView setup(Rig rig, StartingTime.@Nullable Proposal start) {
        PrintFit fit = rig.fit();
        Recipe.Setup setup = rig.recipe().setup();
        ApertureMark open =
                ApertureMark.ofEngraved(rig.lens().openMark(), rig.lens().marksPerStop());
        double fromOpen =
                rig.aperture().trueNumber().lightChangeTo(open.trueNumber()).inStops();
        double lostMm = Math.max(
                rig.frameWidth().inMm() - fit.cropWidth().inMm(),
                rig.frameHeight().inMm() - fit.cropHeight().inMm());
        return new SetupView(
                rig.enlarger().id(),
                rig.enlarger().name(),
                rig.enlarger().head(),
                rig.enlarger().lamp(),
                rig.lens().id(),
                rig.lens().name(),
                rig.lens().focalMm(),
                setup.apertureMark(),
                rig.paper().id(),
                rig.paper().name(),
                rig.paper().batch(),
                rig.paper().sheetsLeft(),
                rig.paper().counted(),
                setup.sheetWidthMm(),
                setup.sheetHeightMm(),
                setup.borderMm(),
                setup.fit(),
                setup.cropPlace(),
                rig.sheetWidth().inMm(),
                rig.sheetHeight().inMm(),
                fit.imageWidth().inMm(),
                fit.imageHeight().inMm(),
                fit.magnification().inTimes(),
                setup.contact().map(c -> c.source().name()).orElse("ENLARGED"),
                setup.contact().map(Recipe.Contact::columnReading).orElse(""),
                rig.lightToPaper().inMm(),
                rig.inContact()
                        ? null
                        : rig.thinLens().filmToLens(fit.magnification()).inMm(),
                rig.enlarger().columnMm(),
                rig.aperture().trueNumber().inFStops(),
                fromOpen,
                RectView.of(rig.crop()),
                fit.lostFraction(),
                lostMm < NOTHING_LOST_MM ? 0 : lostMm,
                rig.lag().inSeconds(),
                rig.knownLag().source().name().toLowerCase(Locale.ROOT),
                warnings(rig, fit, fromOpen),
                start);
    }

    private static List<String> warnings(Rig rig, PrintFit fit, double stopsFromOpen) {
        List<String> warnings = new ArrayList<>();
        if (rig.inContact()) {
            warnContact(warnings, rig);
        } else {
            warnEnlarged(warnings, rig, fit, stopsFromOpen);
        }
        if (!rig.light().points().isEmpty() && !rig.enlarger().dials()) {
            warnings.add(rig.enlarger().name()
                    + " has no dials for a pack. Choose an enlarger with a colour head for this paper.");
        }
        if (rig.paper().counted() && rig.paper().sheetsLeft() <= rig.paper().reserveSheets()) {
            warnings.add(
                    rig.paper().name() + ": " + Show.number(rig.paper().sheetsLeft()) + " sheets left, your reserve.");
        }
        return warnings;
    }

    private static void warnEnlarged(List<String> warnings, Rig rig, PrintFit fit, double stopsFromOpen) {
        double diagonal = Math.hypot(rig.frameWidth().inMm(), rig.frameHeight().inMm());
        if (diagonal > rig.lens().coversMm() + COVERS_SLACK_MM) {
            warnings.add("The " + rig.lens().name() + " covers a diagonal of "
                    + Show.number(rig.lens().coversMm()) + " mm; this negative has " + Show.number(diagonal)
                    + " mm. The corners will be dark.");
        }
        double height = rig.thinLens().lensToPaper(fit.magnification()).inMm();
        if (height > rig.enlarger().columnMm()) {
            warnings.add("This size needs the lens " + Show.number(height / 10) + " cm above the easel; the column of "
                    + rig.enlarger().name() + " ends at "
                    + Show.number(rig.enlarger().columnMm() / 10) + " cm.");
        }
        if (stopsFromOpen < SOFT_WITHIN_STOPS_OF_OPEN) {
            warnings.add("The lens is wide open or nearly so: right for focusing, soft at the edges for a print.");
        }
    }

    /** What hangs over is lost; and the light has to reach the corners of the paper. */
    private static void warnContact(List<String> warnings, Rig rig) {
        if (rig.subject() instanceof Subject.Proof proof && cutFrames(rig, proof) > 0) {
            int cut = cutFrames(rig, proof);
            warnings.add((cut == 1 ? "One frame hangs" : cut + " frames hang") + " over the edge: the strips need "
                    + Show.number(rig.frameWidth().inMm()) + " × "
                    + Show.number(rig.frameHeight().inMm()) + " mm of paper.");
        }
        double height = rig.lightToPaper().inMm();
        if (!rig.byBareLamp() && height > rig.enlarger().columnMm()) {
            warnings.add("The column of " + rig.enlarger().name() + " ends at "
                    + Show.number(rig.enlarger().columnMm() / 10) + " cm.");
        }
    }

    private static int cutFrames(Rig rig, Subject.Proof proof) {
        Part crop = rig.crop();
        return (int) proof.layout().frames().stream()
                .filter(p -> p.left() < crop.left()
                        || p.top() < crop.top()
                        || p.left() + p.width() > crop.left() + crop.width()
                        || p.top() + p.height() > crop.top() + crop.height())
                .count();
    }
}
