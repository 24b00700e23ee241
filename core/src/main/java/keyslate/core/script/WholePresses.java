package keyslate.core.script;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import keyslate.core.local.LocalChange;
import keyslate.core.local.RunSchedule.Hold;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * Local work by whole presses of one setting.
 *
 * <p>LOC-17: an area that is held for j of n equal presses loses log2((n - j)/n) stops; one that gets j more gains log2(1 + j/n) (R54). What
 * is asked for may be missed by {@value #TOLERANCE_STOPS} stop; more would be seen.
 *
 * @param presses of the base, 2 or more
 */
record WholePresses(int presses) {
    private static final double TOLERANCE_STOPS = 1.0 / 12;

    /** The same holds, each for the whole presses nearest to it; refused with the way out where that is not near. */
    List<Hold> holds(List<Hold> asked) {
        for (Hold hold : asked) {
            if (count(hold.change()).isEmpty()) {
                throw refused(hold, asked);
            }
        }
        return asked.stream().map(this::whole).toList();
    }

    /** For how many presses an area is held, or how many more it gets; none where no whole number is near. */
    OptionalInt count(LocalChange change) {
        int nearest = (int) Math.round(Math.abs(presses * (change.change().toFactor() - 1)));
        boolean possible = nearest >= 1 && (change.isBurn() || nearest < presses);
        return possible && Math.abs(stops(change, nearest) - change.change().inStops()) <= TOLERANCE_STOPS
                ? OptionalInt.of(nearest)
                : OptionalInt.empty();
    }

    private double stops(LocalChange change, int count) {
        double left = change.isBurn() ? presses + count : presses - count;
        return Stops.ofFactor(left / presses).inStops();
    }

    private Hold whole(Hold hold) {
        int count = count(hold.change()).orElseThrow();
        return new Hold(hold.area(), LocalChange.ofStops(stops(hold.change(), count)));
    }

    private QuantityException refused(Hold hold, List<Hold> all) {
        String out = IntStream.rangeClosed(2, BaseExposure.MOST_PRESSES)
                .filter(n -> all.stream()
                        .allMatch(h -> new WholePresses(n).count(h.change()).isPresent()))
                .mapToObj(n -> n + " presses would do, or one exposure")
                .findFirst()
                .orElse("give the base in one exposure");
        double exact = Math.rint(10 * presses * (1 - hold.change().change().toFactor())) / 10;
        return Check.infeasible(
                "presses",
                "a hold has to be whole presses, and one of these would be " + Check.shown(exact) + " of " + presses
                        + "; " + out);
    }
}
