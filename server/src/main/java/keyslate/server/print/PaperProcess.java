package keyslate.server.print;

import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.server.rig.Rig;
import keyslate.store.slate.ExposedSheet;

/** The port to the wet side and the scanner behind it: an exposed sheet goes in, its scan comes out where there is a scanner. */
public interface PaperProcess {
    /**
     * Processes and scans a sheet.
     *
     * @param rig as it stood when the sheet was begun
     * @return empty when nothing scans: in a darkroom of the user's own, and without a negative to expose through
     */
    Optional<Look> process(ExposedSheet sheet, Rig rig);
}
