package keyslate.server.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.colour.DyeImage.Appearance;
import keyslate.core.colour.Layers;
import keyslate.core.light.Light;
import keyslate.core.picture.PictureOfTest;
import keyslate.core.picture.PictureOfTest.Fault;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.picture.PictureOfTest.OnSheet;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.quantity.Check;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.core.reading.ScanColour;
import keyslate.server.picture.PictureFiles;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.web.NotFoundException;
import org.springframework.stereotype.Component;

/** Measures a spot that is to be neutral in the picture of a sheet; of pieces the same spot on each of them. */
@Component
public class NeutralReader {
    private static final double SPOT = 0.02;
    private static final Layers WHITE = new Layers(1, 1, 1);
    /** Noise and an uneven lamp leave bare paper within 0.05 of its density; what is this much brighter is no print on it. */
    private static final double BRIGHTER = 1.12;

    private static final String NO_WHITE =
            "No white rim is seen: say “Bare paper” and tap a place of it, or take the whole sheet with its rim.";
    /** A picture with one of these says nothing of colour. */
    private static final Set<Fault> BLIND = Set.of(Fault.NO_WHITE, Fault.CLIPPED, Fault.TOO_DARK);

    private final ScanPictures pictures;

    NeutralReader(ScanPictures pictures) {
        this.pictures = pictures;
    }

    /**
     * What was measured.
     *
     * @param light that this paper got
     * @param piece its number; 0 where the sheet is one piece
     * @param look of the spot, in the usual viewing light
     * @param doubtful whether something spoils the picture
     */
    public record Measured(Light light, int piece, Appearance look, boolean doubtful) {}

    /**
     * Measures the spot at a place of a picture.
     *
     * @param scan number of the picture, from 1
     * @param spot in fractions of the picture as it was taken
     * @param white a place of bare paper, for a picture without a rim
     */
    public List<Measured> read(OnCord sheet, int scan, Place spot, Optional<Place> white) {
        int scans = sheet.exposed().scans().size();
        if (scan < 1 || scan > scans) {
            throw Check.infeasible(
                    "picture", scans == 0 ? "this sheet has no picture yet" : "this sheet has no such picture");
        }
        boolean pieces = sheet.patches().map(p -> p.differInLight()).orElse(false);
        Optional<Layout> layout = sheet.patches().map(p -> Layout.of(sheet));
        PapersSeen seen = PapersSeen.in(pictures, sheet, scan, layout);
        Optional<String> missing = layout.flatMap(l -> l.missing(seen.papers().size()));
        if (missing.isPresent()) {
            throw Check.infeasible("picture", missing.get());
        }
        Planned planned = layout.map(Layout::planned).orElse(Planned.PLAIN);
        PictureOfTest picture = seen.measured(planned, new Known(white, Optional.empty()));
        Set<Fault> faults = picture.faults();
        for (Fault fault : BLIND) {
            if (faults.contains(fault)) {
                throw Check.infeasible("picture", fault == Fault.NO_WHITE ? NO_WHITE : PictureReader.words(fault));
            }
        }
        OnSheet on = picture.on(spot)
                .orElseThrow(() -> Check.infeasible("spot", "this is beside the picture; tap a spot in it"));
        boolean doubtful = faults.contains(Fault.UNEVEN) || faults.contains(Fault.GLARE);
        if (!pieces) {
            Light light = sheet.rig().light();
            return List.of(new Measured(light, 0, look(picture, on.paper(), on.u(), on.v()), doubtful));
        }
        return ofEach(layout.orElseThrow(), picture, on, doubtful);
    }

    /** A piece in the picture of all, as a JPEG; where the pieces lie apart as they are found, else as they were to be laid. */
    public byte[] piece(OnCord sheet, int scan, int number) {
        Layout layout = sheet.patches().map(p -> Layout.of(sheet)).orElseThrow(NotFoundException.of("piece"));
        if (scan < 1
                || scan > sheet.exposed().scans().size()
                || number < 1
                || number > layout.patches().size()) {
            throw NotFoundException.of("piece").get();
        }
        PapersSeen seen = PapersSeen.in(pictures, sheet, scan, Optional.of(layout));
        List<Corners> papers = seen.papers();
        OnPaper piece = layout.patches().get(number - 1);
        Corners corners = papers.size() == layout.papers() && layout.papers() > 1
                ? papers.get(piece.patch().piece() - 1)
                : layout.placed(piece, papers.get(0));
        return PictureFiles.jpeg(PictureFiles.look(PieceCut.of(seen.light(), corners)));
    }

    private static List<Measured> ofEach(Layout layout, PictureOfTest picture, OnSheet on, boolean doubtful) {
        OnPaper tapped = layout.patchAt(on)
                .orElseThrow(() -> Check.infeasible("spot", "this is beside the pieces; tap a spot on one of them"));
        OnSheet whole = layout.onSheet(tapped, 0, 0);
        OnSheet far = layout.onSheet(tapped, 1, 1);
        double u = (on.u() - whole.u()) / (far.u() - whole.u());
        double v = (on.v() - whole.v()) / (far.v() - whole.v());
        List<Measured> measured = new ArrayList<>();
        for (OnPaper piece : layout.patches()) {
            OnSheet place = layout.onSheet(piece, u, v);
            measured.add(new Measured(
                    piece.patch().step().light(),
                    piece.patch().number(),
                    look(picture, place.paper(), place.u(), place.v()),
                    doubtful));
        }
        return measured;
    }

    private static Appearance look(PictureOfTest picture, int paper, double u, double v) {
        Layers share = picture.colour(paper, u, v, SPOT / 2, SPOT / 2);
        if (Math.max(share.red(), Math.max(share.green(), share.blue())) > BRIGHTER) {
            throw Check.infeasible("spot", "is brighter than the paper's white; tap bare paper anew, or another spot");
        }
        return ScanColour.of(share, WHITE);
    }
}
