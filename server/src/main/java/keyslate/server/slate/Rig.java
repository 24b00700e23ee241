package keyslate.server.slate;

import keyslate.core.contrast.GradeFilter;
import keyslate.core.darkroom.EnlargerLight;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.PrintFit;
import keyslate.core.size.ThinLens;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Roll;
import keyslate.store.slate.Recipe;

/** A recipe with the things it names, as values to compute with. */
public record Rig(Recipe recipe, Frame frame, Roll roll, Enlarger enlarger, Lens lens, Paper paper) {
    private static final double NARROWEST_PICTURE_MM = 10;

    public Length negativeWidth() {
        return Length.ofMm(frame.upright() ? roll.shortMm() : roll.longMm());
    }

    public Length negativeHeight() {
        return Length.ofMm(frame.upright() ? roll.longMm() : roll.shortMm());
    }

    /** Width of the whole frame over its height. */
    public double frameAspect() {
        return negativeWidth().inMm() / negativeHeight().inMm();
    }

    /** The sheet is turned so that its long side follows the picture's. */
    public Length sheetWidth() {
        double a = recipe.setup().sheetWidthMm();
        double b = recipe.setup().sheetHeightMm();
        return Length.ofMm(frameAspect() > 1 ? Math.max(a, b) : Math.min(a, b));
    }

    public Length sheetHeight() {
        double a = recipe.setup().sheetWidthMm();
        double b = recipe.setup().sheetHeightMm();
        return Length.ofMm(frameAspect() > 1 ? Math.min(a, b) : Math.max(a, b));
    }

    /** How the negative meets the sheet inside its borders. */
    public PrintFit fit() {
        double borders = 2 * recipe.setup().borderMm();
        return PrintFit.of(
                negativeWidth(),
                negativeHeight(),
                Length.ofMm(Math.max(NARROWEST_PICTURE_MM, sheetWidth().inMm() - borders)),
                Length.ofMm(Math.max(NARROWEST_PICTURE_MM, sheetHeight().inMm() - borders)),
                PrintFit.Way.valueOf(recipe.setup().fit()));
    }

    /** Whether the borders leave a picture at all. */
    public boolean bordersFit() {
        double shorter = Math.min(sheetWidth().inMm(), sheetHeight().inMm());
        return shorter - 2 * recipe.setup().borderMm() >= NARROWEST_PICTURE_MM;
    }

    /** The part of the frame that prints, in fractions of it. */
    public RectView crop() {
        PrintFit fit = fit();
        double width = fit.cropWidth().inMm() / negativeWidth().inMm();
        double height = fit.cropHeight().inMm() / negativeHeight().inMm();
        double place = recipe.setup().cropPlace();
        return new RectView((1 - width) * place, (1 - height) * place, width, height);
    }

    /** The printed part as the masks want it. */
    public AreaMask.View view() {
        RectView crop = crop();
        return new AreaMask.View(crop.left(), crop.top(), crop.width(), crop.height(), frameAspect());
    }

    public Magnification magnification() {
        return fit().magnification();
    }

    public ThinLens thinLens() {
        return ThinLens.ofMm(lens.focalMm());
    }

    public ApertureMark aperture() {
        return ApertureMark.ofEngraved(recipe.setup().apertureMark(), lens.marksPerStop());
    }

    public GradeFilter filter() {
        return GradeFilter.ofLabel(recipe.setup().filter());
    }

    public ExposureTime base() {
        return ExposureTime.ofSeconds(recipe.setup().baseSeconds());
    }

    public LampLag lag() {
        return LampLag.ofSeconds(enlarger.lagSeconds());
    }

    /** log10 light per second through clear film. */
    public double logPerSecond() {
        return new EnlargerLight(enlarger.strengthLog10())
                .logPerSecond(aperture().trueNumber(), magnification());
    }
}
