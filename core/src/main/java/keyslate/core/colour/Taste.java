package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;

/**
 * How far a print is meant to be off neutral: a second target beside the neutral one, which the looks tell (S20 of the craft's schools).
 *
 * <p>COL-38: the pack meant is n + s, n the one that makes the neutral neutral, s this shift; so a later look moves both alike.
 *
 * @param magenta points that the pack has beyond the neutral one, −{@value #MOST} to {@value #MOST}: more turns the print greener
 * @param yellow alike: more turns it bluer
 */
public record Taste(double magenta, double yellow) {
    public static final double MOST = 60;
    public static final Taste NEUTRAL = new Taste(0, 0);

    /** Less than the half of this cannot be set. */
    private static final double STEP = 1;

    public Taste {
        magenta = Check.within("magenta", magenta, -MOST, MOST, "points") + 0.0;
        yellow = Check.within("yellow", yellow, -MOST, MOST, "points") + 0.0;
    }

    /** A print that is meant to have so much of a hue. */
    public static Taste of(Hue print, double points) {
        FilterShift shift = print.byMagentaAndYellow(-Check.notNegative("strength", points, "points"));
        return new Taste(shift.inMagenta(), shift.inYellow());
    }

    /** What a pack that pleases has beyond the neutral one. */
    public static Taste between(FilterPack neutral, FilterPack pleasing) {
        return new Taste(
                pleasing.inMagenta() - pleasing.inCyan() - neutral.inMagenta() + neutral.inCyan(),
                pleasing.inYellow() - pleasing.inCyan() - neutral.inYellow() + neutral.inCyan());
    }

    /** Whether it is too little to be set. */
    public boolean isNeutral() {
        return Math.abs(magenta) < STEP / 2 && Math.abs(yellow) < STEP / 2;
    }

    /** The pack that is meant, without grey. */
    public FilterPack from(FilterPack neutral) {
        FilterShift meant =
                FilterShift.of(neutral.inCyan(), neutral.inMagenta() + magenta, neutral.inYellow() + yellow);
        return NeutralRemoval.of(meant).pack();
    }

    /** The neutral pack of a print with this taste that pleases. */
    public FilterPack neutralOf(FilterPack pleasing) {
        return new Taste(-magenta, -yellow).from(pleasing);
    }
}
