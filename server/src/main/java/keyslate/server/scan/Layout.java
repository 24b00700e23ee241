package keyslate.server.scan;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.picture.PictureOfTest.OnSheet;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.reading.Corners;
import keyslate.core.script.Part;
import keyslate.core.script.WedgeDisc;
import keyslate.server.sheet.Patches;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.sheet.SheetAssembler.OnCord;
import org.jspecify.annotations.Nullable;

/**
 * How the patches of a test lie on its paper, or on its papers.
 *
 * @param patches in the order of their numbers
 * @param papers how many papers there are: one, or one for each piece
 * @param aspect of the printed part of a paper, width over height
 */
record Layout(List<OnPaper> patches, int papers, double aspect, Planned planned) {
    private static final double SAME = 1e-6;

    static Layout of(OnCord sheet) {
        List<OnPaper> patches = sheet.patches().orElseThrow().all();
        int pieces = sheet.exposed().pieces().size();
        boolean apart = pieces > 1 && sheet.rig().recipe().test().isCutApart();
        Part view = sheet.exposed().pieces().get(0).view();
        double ofPiece = sheet.rig().frameAspect() * view.width() / view.height();
        double aspect = apart ? ofPiece : Patches.layout(sheet.rig(), pieces).aspect(ofPiece);
        Planned planned = apart ? Planned.PLAIN : planned(patches, pieces > 1);
        return new Layout(patches, apart ? pieces : 1, aspect, planned);
    }

    private static Planned planned(List<OnPaper> patches, boolean alike) {
        boolean row = isRow(patches, true);
        if (patches.size() < 2 || !row && !isRow(patches, false)) {
            return Planned.PLAIN;
        }
        TreeSet<Double> starts = new TreeSet<>();
        for (OnPaper p : patches) {
            starts.add(row ? p.inPicture().left() : p.inPicture().top());
        }
        double first = row
                ? patches.get(0).inPicture().left()
                : patches.get(0).inPicture().top();
        double last = row
                ? patches.get(patches.size() - 1).inPicture().left()
                : patches.get(patches.size() - 1).inPicture().top();
        return new Planned(starts.stream().filter(s -> s > SAME).toList(), row, last > first, alike);
    }

    private static boolean isRow(List<OnPaper> patches, boolean acrossWidth) {
        return patches.stream()
                .allMatch(p -> p.patch().sector().isEmpty()
                        && (acrossWidth ? p.inPicture().height() : p.inPicture().width()) > 1 - SAME);
    }

    /** What the patches received, rising. */
    List<Double> received() {
        return patches.stream().map(p -> p.patch().receivedSeconds()).toList();
    }

    /** Where a place of a patch's own picture lies. */
    OnSheet onSheet(OnPaper patch, double u, double v) {
        if (papers > 1) {
            return new OnSheet(patch.patch().piece() - 1, u, v);
        }
        Part piece = pieceOf(patch);
        return new OnSheet(0, piece.left() + piece.width() * u, piece.top() + piece.height() * v);
    }

    /** Where the papers lie in a picture that shows them as they were to be laid, and nothing else. */
    List<Corners> inOnePicture() {
        return papers == 1
                ? List.of(Corners.whole())
                : patches.stream().map(p -> placed(p, Corners.whole())).toList();
    }

    /** Where a patch is to lie in a picture, or on a paper in one, that shows all of them and nothing else. */
    Corners placed(OnPaper patch, Corners all) {
        Part part = patch.inPicture();
        double right = part.left() + part.width();
        double bottom = part.top() + part.height();
        return Corners.of(Stream.of(
                        all.at(part.left(), part.top()),
                        all.at(right, part.top()),
                        all.at(right, bottom),
                        all.at(part.left(), bottom))
                .flatMap(c -> Stream.of(c.x(), c.y()))
                .toList());
    }

    /** Where the piece of a patch lies in the picture of all. */
    private static Part pieceOf(OnPaper patch) {
        Part in = patch.inPicture();
        Part on = patch.patch().place();
        double width = in.width() / on.width();
        double height = in.height() / on.height();
        return new Part(in.left() - on.left() * width, in.top() - on.top() * height, width, height);
    }

    /** What is to be said where not all papers are seen; which piece is which is not known then. */
    Optional<String> missing(int seen) {
        return seen >= papers
                ? Optional.empty()
                : Optional.of("Not all " + papers
                        + " pieces are seen: lay them apart on something dark and take the picture again.");
    }

    /** A radius in fractions of a piece's width, in those of the paper's. */
    double radius(double ofPiece) {
        return ofPiece * (papers > 1 ? 1 : pieceOf(patches.get(0)).width()) / 2;
    }

    /** The patch that lies there. */
    Optional<OnPaper> patchAt(OnSheet on) {
        return patches.stream()
                .filter(p -> papers == 1 || p.patch().piece() - 1 == on.paper())
                .filter(p -> {
                    Part piece = papers == 1 ? pieceOf(p) : Part.WHOLE;
                    double u = (on.u() - piece.left()) / piece.width();
                    double v = (on.v() - piece.top()) / piece.height();
                    if (p.patch().sector().isPresent()) {
                        WedgeDisc disc = p.disc();
                        return disc.shareAt(u, v)
                                == disc.share(p.patch().sector().getAsInt());
                    }
                    return p.patch().place().holds(u, v);
                })
                .findFirst();
    }

    /** Whether the longer side of a paper in a picture is the one that was planned. */
    boolean liesAlike(Corners paper, ColourRaster light) {
        Corners.Place a = paper.at(0, 0);
        Corners.Place b = paper.at(1, 0);
        Corners.Place d = paper.at(0, 1);
        double width = Math.hypot((b.x() - a.x()) * light.width(), (b.y() - a.y()) * light.height());
        double height = Math.hypot((d.x() - a.x()) * light.width(), (d.y() - a.y()) * light.height());
        return width > height == aspect > 1;
    }

    /** A time in patches from the first; none off the test, or of one sheet. */
    @Nullable
    Double positionOf(double seconds) {
        List<Double> received = received();
        if (received.size() < 2 || seconds < received.get(0) || seconds > received.get(received.size() - 1)) {
            return null;
        }
        int low = IntStream.range(0, received.size() - 1)
                .filter(i -> seconds <= received.get(i + 1))
                .findFirst()
                .orElse(received.size() - 2);
        double gap = Math.log(received.get(low + 1) / received.get(low));
        return low + (gap > 0 ? Math.log(seconds / received.get(low)) / gap : 0);
    }

    String whereIs(double at) {
        int near = (int) Math.round(at);
        if (Math.abs(at - near) < 0.08) {
            return "patch " + (near + 1);
        }
        return "between " + ((int) at + 1) + " and " + ((int) at + 2);
    }
}
