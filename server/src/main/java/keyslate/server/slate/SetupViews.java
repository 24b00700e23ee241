package keyslate.server.slate;

import java.util.List;
import java.util.Locale;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.rescale.Known;
import keyslate.core.size.Blades;
import keyslate.core.size.Placement;
import keyslate.core.size.PrintFit;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.Grades;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.slate.SlateViews.BasePartView;
import keyslate.server.slate.SlateViews.BaseView;
import keyslate.server.slate.SlateViews.BladesView;
import keyslate.server.slate.SlateViews.NamingView;
import keyslate.server.slate.SlateViews.SetupView;
import keyslate.server.slate.SlateViews.TasteView;
import keyslate.store.json.StoredTone;
import keyslate.store.slate.Recipe;
import org.jspecify.annotations.Nullable;

/** The set-up of a rig as it is shown. */
final class SetupViews {
    private static final double NOTHING_LOST_MM = 0.05;

    private SetupViews() {}

    static NamingView naming(Recipe.Naming n) {
        return new NamingView(
                n.title(),
                n.intent(),
                n.whiteWanted(),
                n.blackWanted(),
                n.tones().stream().map(StoredTone::of).toList(),
                TasteView.of(n.taste()));
    }

    static BaseView base(Rig rig) {
        Recipe.Base base = rig.recipe().base();
        return new BaseView(
                LightView.of(rig.light()),
                Grades.ofBase(rig).orElse(null),
                PackViews.of(rig).orElse(null),
                rig.base().inSeconds(),
                setSeconds(rig, rig.base()),
                rig.exposure().parts().stream()
                        .map(p -> new BasePartView(
                                LightView.of(p.light()), p.time().inSeconds(), setSeconds(rig, p.time())))
                        .toList(),
                rig.exposure().presses(),
                base.source(),
                base.because());
    }

    /** What one sets on the timer for the base, or for each press of it; beyond the timer's end the time itself. */
    private static double setSeconds(Rig rig, ExposureTime received) {
        ExposureTime each = received.times(1.0 / rig.exposure().presses());
        double set = each.inSeconds() + rig.lag().inSeconds();
        try {
            return rig.timer().nearest(rig.lag().toSet(each)).time().inSeconds();
        } catch (QuantityException e) {
            return set;
        }
    }

    static SetupView setup(Rig rig, List<String> warnings, StartingTime.@Nullable Proposal start) {
        PrintFit fit = rig.fit();
        Recipe.Setup setup = rig.recipe().setup();
        Placement placement = rig.placement();
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
                rig.paper().type(),
                rig.paper().batch(),
                rig.paper().sheetsLeft(),
                rig.paper().counted(),
                setup.sheetWidthMm(),
                setup.sheetHeightMm(),
                placement.blades().narrowestMm(),
                blades(placement.blades()),
                placement.way().name(),
                placement.overfillPercent(),
                placement.across(),
                placement.down(),
                placement.sized().map(s -> s.by().name()).orElse(null),
                placement.sized().map(Placement.Sized::reading).orElse(null),
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
                Geometry.stopsFromOpen(rig),
                RectView.of(rig.crop()),
                fit.lostFraction(),
                lostMm < NOTHING_LOST_MM ? 0 : lostMm,
                rig.lag().inSeconds(),
                rig.knownLag().source().name().toLowerCase(Locale.ROOT),
                driesDown(rig),
                warnings,
                start);
    }

    /** Colour is judged dry, and a proof by its black, which dries as it is. */
    private static @Nullable Double driesDown(Rig rig) {
        boolean judgedWet =
                rig.medium().core().underSafelight() && !rig.subject().isProof();
        return judgedWet ? rig.dryDown().map(Known::figure).orElse(null) : null;
    }

    private static BladesView blades(Blades b) {
        return new BladesView(b.leftMm(), b.topMm(), b.rightMm(), b.bottomMm());
    }
}
