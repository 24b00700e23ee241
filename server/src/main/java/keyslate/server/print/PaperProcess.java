package keyslate.server.print;

import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.core.quantity.FilterPack;
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

    /** A piece of paper as it looks in the hand. */
    record Dry(int piece, Look look) {}

    /** The pieces of a sheet as they look in the hand, for the practice phone; none outside the practice darkroom. */
    default List<Dry> dry(ExposedSheet sheet, Rig rig) {
        return List.of();
    }

    /**
     * The pack that the practice darkroom's colour meter asks for under the negative of a sheet; none outside it, on other than colour paper, or where nothing was scanned.
     *
     * @param reading makes each reading's error its own
     */
    default Optional<FilterPack> metered(Rig rig, long reading) {
        return Optional.empty();
    }
}
