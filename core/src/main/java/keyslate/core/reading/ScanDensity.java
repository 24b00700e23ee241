package keyslate.core.reading;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * Densities from the codes of a scan.
 *
 * <p>REA-05: one reference of known density: D = D_ref + log10(lin_ref/lin), lin the sRGB-decoded code, not below half a code. REA-06: several:
 * the straight line D = a + b·(−log10 lin) with the least squares, which takes in the scanner's own gradation.
 *
 * @param offset a
 * @param slope b, 1 for a faithful scanner
 * @param rms root mean square of what is left, density
 */
public record ScanDensity(double offset, double slope, double rms) {
    private static final double LEAST_CODE = 0.5;

    /** From codes 0 to 255 of patches of known density, at least two that differ. */
    public static ScanDensity fitted(double[] codes, double[] densities) {
        if (codes.length < 2 || codes.length != densities.length) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "references", "at least two references are needed");
        }
        int n = codes.length;
        double mx = 0;
        double my = 0;
        for (int i = 0; i < n; i++) {
            refuseClipped(codes[i]);
            mx += minusLog(codes[i]) / n;
            my += Check.finite("density", densities[i]) / n;
        }
        double sxx = 0;
        double sxy = 0;
        for (int i = 0; i < n; i++) {
            double x = minusLog(codes[i]) - mx;
            sxx += x * x;
            sxy += x * (densities[i] - my);
        }
        if (sxx < 1e-12) {
            throw Check.infeasible("references", "the references are all of one tone");
        }
        double slope = sxy / sxx;
        double offset = my - slope * mx;
        double squares = 0;
        for (int i = 0; i < n; i++) {
            double left = densities[i] - offset - slope * minusLog(codes[i]);
            squares += left * left;
        }
        return new ScanDensity(offset, slope, Math.sqrt(squares / n));
    }

    /** The density of a code. */
    public double at(double code) {
        return offset + slope * minusLog(code);
    }

    /** REA-05 for one channel; the reference must not be clipped. */
    public static double byReference(double code, double referenceCode, double referenceDensity) {
        Check.within("code", code, 0, 255, "");
        refuseClipped(referenceCode);
        return Check.finite("reference density", referenceDensity) + minusLog(code) - minusLog(referenceCode);
    }

    private static double minusLog(double code) {
        double c = Math.max(LEAST_CODE, Check.within("code", code, 0, 255, "")) / 255;
        double linear = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
        return -Math.log10(linear);
    }

    private static void refuseClipped(double referenceCode) {
        Check.within("reference", referenceCode, 0, 255, "");
        if (referenceCode <= 0 || referenceCode >= 255) {
            throw Check.outOfRange("reference", "the reference is clipped in the scan: scan it lighter or darker");
        }
    }
}
