package keyslate.core.size;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;

/**
 * How the negative fits the free part of the sheet.
 *
 * <p>SIZ-01: fill: m = max(PW/NW, PH/NH), the sheet is covered and a part of the negative is lost; whole picture: m =
 * min(…), nothing is lost and white is left on two sides. Crop on the negative = min(negative, print/m). A picture that fills may be made
 * larger by a few percent, so that no white edge is left; m is limited as {@link Magnification} is.
 *
 * @param magnification m
 * @param cropWidth used width of the negative
 * @param cropHeight used height of the negative
 * @param imageWidth width of the picture on paper
 * @param imageHeight height of the picture on paper
 * @param lostFraction share of the negative's area that does not print, 0 to under 1
 */
public record PrintFit(
        Magnification magnification,
        Length cropWidth,
        Length cropHeight,
        Length imageWidth,
        Length imageHeight,
        double lostFraction) {
    /** The two ways to meet a sheet of another shape. */
    public enum Way {
        WHOLE_PICTURE,
        FILL_SHEET;

        /**
         * How large the picture becomes.
         *
         * @param overfillPercent how much larger than the free area where it is filled, 0 or more
         */
        Magnification magnification(
                Length negativeWidth,
                Length negativeHeight,
                Length paperWidth,
                Length paperHeight,
                double overfillPercent) {
            double across = Check.positive("print width", paperWidth.inMm(), "mm")
                    / Check.positive("negative width", negativeWidth.inMm(), "mm");
            double down = Check.positive("print height", paperHeight.inMm(), "mm")
                    / Check.positive("negative height", negativeHeight.inMm(), "mm");
            return Magnification.of(
                    this == FILL_SHEET ? Math.max(across, down) * (1 + overfillPercent / 100) : Math.min(across, down));
        }
    }

    /** A negative that lies on the paper: as large as it is, and what hangs over the free area is lost. */
    public static PrintFit inContact(
            Length negativeWidth, Length negativeHeight, Length paperWidth, Length paperHeight) {
        double nw = Check.positive("negative width", negativeWidth.inMm(), "mm");
        double nh = Check.positive("negative height", negativeHeight.inMm(), "mm");
        double w = Math.min(nw, Check.positive("print width", paperWidth.inMm(), "mm"));
        double h = Math.min(nh, Check.positive("print height", paperHeight.inMm(), "mm"));
        return new PrintFit(
                Magnification.of(1),
                Length.ofMm(w),
                Length.ofMm(h),
                Length.ofMm(w),
                Length.ofMm(h),
                Math.max(0, 1 - w * h / (nw * nh)));
    }

    /** Fits a negative to the free area {@code paperWidth} × {@code paperHeight} inside the borders. */
    public static PrintFit of(
            Length negativeWidth, Length negativeHeight, Length paperWidth, Length paperHeight, Way way) {
        Magnification m = way.magnification(negativeWidth, negativeHeight, paperWidth, paperHeight, 0);
        return at(m, negativeWidth, negativeHeight, paperWidth, paperHeight);
    }

    /** What a size leaves of the negative, and covers of the free area; smaller than it, white is left. */
    public static PrintFit at(
            Magnification magnification,
            Length negativeWidth,
            Length negativeHeight,
            Length paperWidth,
            Length paperHeight) {
        double nw = Check.positive("negative width", negativeWidth.inMm(), "mm");
        double nh = Check.positive("negative height", negativeHeight.inMm(), "mm");
        double m = magnification.inTimes();
        double cropW = Math.min(nw, Check.positive("print width", paperWidth.inMm(), "mm") / m);
        double cropH = Math.min(nh, Check.positive("print height", paperHeight.inMm(), "mm") / m);
        double lost = Math.max(0, 1 - cropW * cropH / (nw * nh));
        return new PrintFit(
                magnification,
                Length.ofMm(cropW),
                Length.ofMm(cropH),
                Length.ofMm(cropW * m),
                Length.ofMm(cropH * m),
                lost < 1e-12 ? 0 : lost);
    }
}
