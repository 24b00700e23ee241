package keyslate.server.test;

import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.light.Light;

/**
 * The test that would settle what a reading leaves open.
 *
 * @param beside light of a second row, where it may turn out to be the one; none = one row
 */
public record CheckPlan(CheckStrip strip, Optional<Light> beside) {
    /** Through the light that stands alone. */
    public static CheckPlan inOneRow(CheckStrip strip) {
        return new CheckPlan(strip, Optional.empty());
    }
}
