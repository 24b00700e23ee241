package keyslate.server.scan;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.Layers;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.picture.ClippedCorners;
import keyslate.core.picture.PictureOfTest;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.picture.PictureOfTest.White;
import keyslate.core.reading.Corners;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.store.slate.Scan;

/**
 * A picture of a sheet and where its papers lie in it.
 *
 * @param light linear, upright
 * @param papers one, or one for each piece in the order of their numbers; one alone where not all pieces are found
 * @param sure whether a single paper is known to be one; else it may be something light in a picture that shows nothing but the print
 * @param bare what bare paper gives, where the scanner is set to it
 */
record PapersSeen(ColourRaster light, List<Corners> papers, boolean sure, Optional<Layers> bare) {
    /**
     * The papers as they were handed in or as they are found. The simulated scanner sees no rim, has the pieces where they were to be laid, and is set to
     * its paper's white; of a picture that was handed in nobody knows.
     *
     * @param scan number of the picture, from 1
     * @param laid how the patches lie; a print has none
     */
    static PapersSeen in(ScanPictures pictures, OnCord sheet, int scan, Optional<Layout> laid) {
        Scan scanned = sheet.exposed().scans().get(scan - 1);
        ScanPictures.Decoded decoded = pictures.of(scanned.pictureId());
        ColourRaster light = decoded.light();
        if (Scan.SIMULATED.equals(scanned.source())) {
            List<Corners> papers = laid.map(Layout::inOnePicture).orElse(List.of(Corners.whole()));
            return new PapersSeen(
                    light, papers, true, Optional.of(sheet.rig().medium().core().whiteInScan()));
        }
        Optional<Corners> handedIn = pictures.corners(sheet, scan);
        return new PapersSeen(light, found(decoded, laid, handedIn), handedIn.isPresent(), Optional.empty());
    }

    private static List<Corners> found(
            ScanPictures.Decoded decoded, Optional<Layout> laid, Optional<Corners> handedIn) {
        ColourRaster light = decoded.light();
        List<Corners> papers = decoded.papers();
        int wanted = laid.map(Layout::papers).orElse(1);
        if (wanted > 1 && papers.size() == wanted) {
            return ClippedCorners.ordered(light, papers).orElseGet(() -> ClippedCorners.asTheyLie(papers));
        }
        if (handedIn.isPresent()) {
            return List.of(handedIn.get());
        }
        if (papers.isEmpty() || wanted > 1) {
            return List.of(Corners.whole());
        }
        Corners largest = papers.get(0);
        boolean turned = laid.filter(l -> !l.liesAlike(largest, light)).isPresent();
        return List.of(turned ? largest.turned() : largest);
    }

    /** The same picture with its papers where somebody says they lie. */
    PapersSeen lying(List<Corners> there) {
        return new PapersSeen(light, there, true, bare);
    }

    PictureOfTest measured(Planned planned, Known tapped) {
        Known known = tapped.where(bare);
        PictureOfTest picture = PictureOfTest.of(light, papers, planned, known);
        return sure || papers.size() > 1 || picture.whiteBy() == White.RIM
                ? picture
                : PictureOfTest.of(light, List.of(Corners.whole()), planned, known);
    }
}
