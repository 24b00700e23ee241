package keyslate.server.print;

import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.SheetExposure;
import keyslate.server.slate.Rig;
import keyslate.server.slate.SlateViews.RectView;

/** The port to the wet side and the scanner behind it: an exposed sheet goes in, its scan comes out. */
public interface PaperProcess {
    /** The grey scan of a processed sheet. */
    record Scan(byte[] grey, int width, int height) {}

    /**
     * Processes and scans a sheet.
     *
     * @param rig what stood on the enlarger
     * @param view the part of the frame on the sheet, in fractions
     * @param bursts the set seconds the lamp was really on for, burst by burst, with what was held and covered; the
     *     lamp's own lag is the process's business
     * @return empty when there is no negative to expose through
     */
    Optional<Scan> process(Rig rig, RectView view, List<SheetExposure.Burst> bursts);
}
