package keyslate.server.print;

import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import keyslate.core.darkroom.StandInEquipment;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;

/** The stand-ins behind the things of the practice darkroom; a thing that is alike is the same, whatever it is called. */
public final class SimulatedEquipment {
    /** A set in which the middle lens is nearly symmetrical and the others are to either side of it. */
    private static final String LENSES = "lens 1312 ";

    private SimulatedEquipment() {}

    /** An enlarger with a lens. */
    public static StandInEquipment of(Enlarger enlarger, Lens lens) {
        return new StandInEquipment(
                seed(enlarger.head() + enlarger.strengthLog10()),
                enlarger.strengthLog10(),
                enlarger.lagSeconds(),
                seed(LENSES + lens.focalMm() + " " + lens.openMark()),
                lens.focalMm());
    }

    /** A seed for the n-th reading: neighbours differ. */
    public static long mixed(long reading) {
        return seed("reading " + reading);
    }

    static long seed(String text) {
        CRC32 crc = new CRC32();
        crc.update(text.getBytes(StandardCharsets.UTF_8));
        return crc.getValue();
    }
}
