package keyslate.core.rescale;

import java.util.List;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * What a time is multiplied with to be right for another set-up.
 *
 * <p>EXP-34: t2 = R(2^Σs · R⁻¹(t1)) (EXP-22); the limit of the whole is √Σlimit², 95 %. A check strip is worth its paper from 1/6 stop of limit on before a
 * test, from 1/8 before a print that is to be kept.
 *
 * @param links in the order they are told
 */
public record ExposureChain(List<Link> links) {
    private static final double CHECK_BEFORE_A_TEST = 1.0 / 6;
    private static final double CHECK_BEFORE_A_KEEPER = 1.0 / 8;
    private static final double SAME = 1e-9;

    public ExposureChain {
        links = links.stream().filter(l -> !l.isNothing()).toList();
    }

    /** All factors together, stops more time. */
    public Stops more() {
        return Stops.of(links.stream().mapToDouble(l -> l.more().inStops()).sum());
    }

    /** 95 % limit of {@link #more}. */
    public Stops limit() {
        return Stops.of(Math.sqrt(links.stream()
                .mapToDouble(l -> l.limit().inStops() * l.limit().inStops())
                .sum()));
    }

    /** The time after all of them on a paper. */
    public ExposureTime apply(ExposureTime time, Reciprocity paper) {
        return paper.scaled(time, more().toFactor());
    }

    /** Whether three patches are worth their paper. */
    public boolean isWorthACheck(boolean beforeAKeeper) {
        return limit().inStops() >= (beforeAKeeper ? CHECK_BEFORE_A_KEEPER : CHECK_BEFORE_A_TEST) - SAME;
    }
}
