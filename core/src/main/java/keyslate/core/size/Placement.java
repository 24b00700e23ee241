package keyslate.core.size;

import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;

/**
 * How picture and sheet meet.
 *
 * @param blades the white on each side
 * @param way how the size is found where nobody sized it
 * @param overfillPercent how much larger than the sheet a picture that fills it is made, so that no white edge is left, 0 to {@value #MOST_OVERFILL}
 * @param sized the size as somebody set it; none = by {@code way}
 * @param across where the kept part of the negative lies, 0 = at its left, 1 = at its right; {@code down} from its top alike
 */
public record Placement(
        Blades blades, PrintFit.Way way, double overfillPercent, Optional<Sized> sized, double across, double down) {
    public static final double MOST_OVERFILL = 50;

    /** What told how large the picture is. */
    public enum By {
        /** The column's own scale, read against sizes before (CAL-05), mm. */
        COLUMN,
        /** Lens to paper by a tape, mm. */
        HEIGHT,
        /** The long side of the whole negative as it falls on the board, mm. */
        PICTURE
    }

    /**
     * A size that was set on the enlarger by eye.
     *
     * @param reading as it was read, mm
     */
    public record Sized(By by, double reading, Magnification magnification) {
        public Sized {
            Check.within("reading", reading, -10_000, 10_000, "mm");
        }
    }

    public Placement {
        Check.within("overfill", overfillPercent, 0, MOST_OVERFILL, "%");
        Check.within("place of the crop", across, 0, 1, "");
        Check.within("place of the crop", down, 0, 1, "");
    }

    /** The whole or the full sheet inside even borders, the kept part in the middle. */
    public static Placement even(double borderMm, PrintFit.Way way) {
        return new Placement(Blades.even(borderMm), way, 0, Optional.empty(), 0.5, 0.5);
    }

    /** The same with the size as it follows from the sheet. */
    public Placement unsized() {
        return new Placement(blades, way, overfillPercent, Optional.empty(), across, down);
    }

    /** How a negative falls on a sheet of {@code sheetWidth} × {@code sheetHeight}; borders that leave less than {@code least} count as leaving that. */
    public PrintFit fit(
            Length negativeWidth, Length negativeHeight, Length sheetWidth, Length sheetHeight, Length least) {
        Length width = free(sheetWidth, blades.acrossMm(), least);
        Length height = free(sheetHeight, blades.downMm(), least);
        Magnification m = sized.map(Sized::magnification)
                .orElseGet(() -> way.magnification(negativeWidth, negativeHeight, width, height, overfillPercent));
        return PrintFit.at(m, negativeWidth, negativeHeight, width, height);
    }

    /** What the blades leave free, {@code least} at least. */
    public static Length free(Length sheet, double bordersMm, Length least) {
        return Length.ofMm(Math.max(least.inMm(), sheet.inMm() - bordersMm));
    }
}
