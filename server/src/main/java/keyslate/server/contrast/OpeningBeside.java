package keyslate.server.contrast;

import java.util.Optional;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.WorkableTime;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.stores.TimeWindow;

/** The opening that brings a time back into the window, where a change of filter takes it out (EXP-18); the print is the same. */
final class OpeningBeside {
    private OpeningBeside() {}

    static Optional<String> say(Rig rig, ExposureTime time, TimeWindow window) {
        boolean isLong = time.compareTo(window.longest()) > 0;
        boolean isShort = time.compareTo(window.shortest()) < 0;
        if (rig.inContact() || rig.ring().size() < 2 || !isLong && !isShort) {
            return Optional.empty();
        }
        ApertureMark widest = rig.ring().get(0);
        ApertureMark smallest = rig.ring().get(rig.ring().size() - 1);
        int marks = rig.lens().marksPerStop();
        WorkableTime there = isLong
                ? WorkableTime.atMost(time, rig.mark(), window.longest(), marks, widest)
                : WorkableTime.atLeast(time, rig.mark(), window.shortest(), marks, smallest);
        if (there.change().inStops() == 0) {
            return Optional.empty();
        }
        return Optional.of(Show.seconds(time.inSeconds()) + " is " + (isLong ? "long" : "short") + ": at "
                + Show.aperture(there.mark().engraved()) + " the same print takes "
                + Show.seconds(there.time().inSeconds()) + ".");
    }
}
