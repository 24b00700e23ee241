package keyslate.core.film;

import keyslate.core.contrast.GradeScale;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.QuantityException.Kind;
import keyslate.core.quantity.Stops;

/**
 * What a densitometer says of a negative: the thinnest tone that must still differ from black in the print, and the densest
 * that must still differ from white. Diffuse densities with base and fog in them, as read.
 *
 * <p>FLM-02: log range = log10((10^(−Q·shadow) + flare) / (10^(−Q·highlight) + flare)); the paper range needed is R = 100 × that.
 * FLM-03: the time that keeps the highlight from one negative to another at one light, t2 = t1 · 10^(Q·(highlight2 − highlight1)).
 * Source: the definition of R (ISO 6846); flare and Callier's factor as in the model, sections 3 and 14. The model puts Q before the
 * logarithm of the flared ratio; flare is light that goes through no silver, so that Q stands at the densities here; both agree
 * without flare or with Q 1.
 */
public record NegativeReadings(Density shadow, Density highlight) {
    /** Stray light of a usual enlarger, as a share of what comes through an open carrier; a default. */
    public static final double USUAL_FLARE = 0.005;

    /** At least so much of a range, or there is nothing to print. */
    private static final double LEAST_RANGE = 0.05;

    public NegativeReadings {
        if (highlight.inLog10() - shadow.inLog10() < LEAST_RANGE) {
            throw new QuantityException(
                    Kind.OUT_OF_RANGE,
                    "highlight",
                    "The highlight is the dense end of a negative: it must read more than the shadow, "
                            + shadow.inLog10());
        }
    }

    /**
     * log10 of the range of light on the easel.
     *
     * @param flare share of open light, 0 to 0.1
     * @param callier Q, 1 for dyes and diffuse heads, 1.2 to 1.5 for silver before condensers
     */
    public double logRange(double flare, double callier) {
        Check.within("flare", flare, 0, 0.1, "");
        double shadowLight = shadow.toSpecular(callier).toTransmittance() + flare;
        double highlightLight = highlight.toSpecular(callier).toTransmittance() + flare;
        return Math.log10(shadowLight / highlightLight);
    }

    /** The paper's ISO range that this negative needs. */
    public double neededRange(double flare, double callier) {
        return 100 * logRange(flare, callier);
    }

    /** The grade nearest to what is needed; the softest or the hardest where none reaches. */
    public Grade nearestGrade(double flare, double callier) {
        double softest = GradeScale.isoRangeOf(Grade.of(-1));
        double hardest = GradeScale.isoRangeOf(Grade.of(5));
        return GradeScale.gradeOf(Math.min(softest, Math.max(hardest, neededRange(flare, callier))));
    }

    /** Stops of light that this negative needs more than another one for the same highlight, less than 0 when it needs less. */
    public Stops needAgainst(NegativeReadings other, double callier) {
        Check.within("Callier factor", callier, 1, 2, "");
        return Stops.ofLogExposure(callier * (highlight.inLog10() - other.highlight.inLog10()));
    }
}
