package keyslate.server.slate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.calibration.Measured;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.OpeningPair;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Reach;
import keyslate.core.size.ThinLens;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.slate.GeometryViews.GeometryView;
import keyslate.server.slate.GeometryViews.PairView;
import keyslate.server.slate.GeometryViews.WindowView;
import keyslate.server.stores.Holders;
import keyslate.server.stores.TimeWindow;
import keyslate.server.subject.Subject;
import keyslate.store.bench.StoresRepository;
import org.springframework.stereotype.Component;

/** What follows from size, lens and opening, and what on the shelves takes it. */
@Component
class Geometry {
    private static final double SOFT_WITHIN_STOPS_OF_OPEN = 0.9;

    private final StoresRepository stores;
    private final FocusWatch focus;

    Geometry(StoresRepository stores, FocusWatch focus) {
        this.stores = stores;
        this.focus = focus;
    }

    GeometryView view(Rig rig) {
        Optional<Measured> column = rig.inContact() ? Optional.empty() : columnReads(rig);
        Optional<Stops> measured = rig.darkestCorner();
        TimeWindow window = TimeWindow.of(stores);
        return new GeometryView(
                column.map(Measured::figure).orElse(null),
                column.map(Measured::limit).orElse(null),
                measured.orElseGet(() -> computedCorner(rig)).inStops(),
                measured.isPresent() ? "measured" : "computed",
                blur(rig, rig.mark()),
                rig.byBareLamp() ? List.of() : pairs(rig, window),
                new WindowView(window.shortest().inSeconds(), window.longest().inSeconds(), window.own()),
                holders(rig, Holders.of(stores)),
                focus.moved(rig));
    }

    /** ", the column reads 318 mm"; empty where it was not read against sizes with this lens. */
    String columnWords(Rig rig) {
        return columnReads(rig)
                .map(m -> ", the column reads " + Show.number(Math.rint(m.figure())) + " mm")
                .orElse("");
    }

    private static Optional<Measured> columnReads(Rig rig) {
        Optional<ColumnScale> scale =
                rig.constants().scale(rig.enlarger().id(), rig.lens().id());
        return scale.map(s -> s.reading(rig.magnification()));
    }

    /** By the height alone (SIZ-06); vignetting of the lens comes on top. */
    private static Stops computedCorner(Rig rig) {
        PrintFit fit = rig.fit();
        double radius = Math.hypot(fit.imageWidth().inMm(), fit.imageHeight().inMm()) / 2;
        return Stops.of(
                -ThinLens.cornerLoss(Length.ofMm(radius), rig.lightToPaper()).inStops());
    }

    private static double blur(Rig rig, ApertureMark mark) {
        return rig.inContact()
                ? 0
                : Reach.blur(mark.trueNumber(), rig.magnification()).inMm();
    }

    private static List<PairView> pairs(Rig rig, TimeWindow window) {
        List<ApertureMark> ring = ApertureMark.ring(
                rig.lens().openMark(), rig.lens().smallestMark(), rig.lens().marksPerStop());
        ApertureMark here = rig.mark();
        if (!ring.contains(here)) {
            return List.of();
        }
        List<OpeningPair> pairs = OpeningPair.of(
                rig.base(),
                here,
                ring,
                ring.stream().map(rig::trueNumber).toList(),
                rig.reciprocity(),
                window.shortest(),
                window.longest());
        Optional<OpeningPair> best = pairs.stream()
                .filter(p -> p.within() == OpeningPair.Within.WORKABLE)
                .min(Comparator.comparingInt(p -> Math.abs(p.clicksFromHere())));
        return pairs.stream()
                .map(p -> new PairView(
                        p.mark().engraved(),
                        p.time().inSeconds(),
                        clicks(p),
                        p.within().name(),
                        best.filter(p::equals).isPresent(),
                        blur(rig, p.mark())))
                .toList();
    }

    private static String clicks(OpeningPair p) {
        String fromOpen = p.clicksFromOpen() == 0 ? "wide open" : clicks(p.clicksFromOpen()) + " from open";
        if (p.clicksFromHere() == 0) {
            return fromOpen + ", as it stands";
        }
        return fromOpen + ", " + clicks(Math.abs(p.clicksFromHere()))
                + (p.clicksFromHere() > 0 ? " closed" : " opened");
    }

    private static String clicks(int count) {
        return count == 1 ? "1 click" : count + " clicks";
    }

    /** The smallest carrier and easel that take it; nothing is said where none were entered. */
    private static List<String> holders(Rig rig, Holders holders) {
        return rig.inContact()
                ? List.of()
                : Stream.of(carrier(rig, holders), easel(rig, holders))
                        .flatMap(Optional::stream)
                        .toList();
    }

    private static Optional<String> carrier(Rig rig, Holders holders) {
        return holders.carrier(rig.frameWidth().inMm(), rig.frameHeight().inMm());
    }

    private static Optional<String> easel(Rig rig, Holders holders) {
        return holders.easel(
                rig.sheetWidth().inMm(),
                rig.sheetHeight().inMm(),
                rig.placement().blades().narrowestMm());
    }

    /** What does not fit, or will not do. */
    List<String> warnings(Rig rig) {
        List<String> warnings = new ArrayList<>();
        if (rig.inContact()) {
            warnContact(warnings, rig);
        } else {
            warnEnlarged(warnings, rig);
            warnHolders(warnings, rig, Holders.of(stores));
        }
        if (!rig.light().points().isEmpty() && !rig.enlarger().dials()) {
            warnings.add(rig.enlarger().name()
                    + " has no dials for a pack. Choose an enlarger with a colour head for this paper.");
        }
        if (rig.paper().counted() && rig.paper().sheetsLeft() <= rig.paper().reserveSheets()) {
            warnings.add(
                    rig.paper().type() + ": " + Show.number(rig.paper().sheetsLeft()) + " sheets left, your reserve.");
        }
        return warnings;
    }

    private void warnEnlarged(List<String> warnings, Rig rig) {
        Length diagonal = Length.ofMm(
                Math.hypot(rig.frameWidth().inMm(), rig.frameHeight().inMm()));
        if (!Reach.covers(Length.ofMm(rig.lens().coversMm()), diagonal)) {
            warnings.add("The " + rig.lens().name() + " covers a diagonal of "
                    + Show.number(rig.lens().coversMm()) + " mm; this negative has " + Show.number(diagonal.inMm())
                    + " mm. The corners will be dark.");
        }
        double height = rig.lightToPaper().inMm();
        if (height > rig.enlarger().columnMm()) {
            warnings.add("This size needs the lens " + Show.number(height / 10) + " cm above the easel; the column of "
                    + rig.enlarger().name() + " ends at "
                    + Show.number(rig.enlarger().columnMm() / 10) + " cm. " + instead(rig, diagonal));
        }
        if (stopsFromOpen(rig) < SOFT_WITHIN_STOPS_OF_OPEN) {
            warnings.add("The lens is wide open or nearly so: right for focusing, soft at the edges for a print.");
        }
        if (blur(rig, rig.mark()) > Reach.SEEN_SOFT_MM) {
            warnings.add(Show.aperture(rig.mark().engraved()) + " makes a point "
                    + String.format(Locale.ROOT, "%.2f", blur(rig, rig.mark()))
                    + " mm wide on paper by diffraction: open the lens for a sharper print.");
        }
    }

    private String instead(Rig rig, Length diagonal) {
        List<Reach.Candidate> lenses = stores.lenses().stream()
                .map(l -> new Reach.Candidate(l.id(), l.name(), Length.ofMm(l.focalMm()), Length.ofMm(l.coversMm())))
                .toList();
        return Reach.instead(
                        lenses,
                        diagonal,
                        rig.magnification(),
                        Length.ofMm(rig.enlarger().columnMm()))
                .map(l -> "The " + l.name() + " reaches it from "
                        + Show.number(new ThinLens(l.focal())
                                        .lensToPaper(rig.magnification())
                                        .inMm()
                                / 10)
                        + " cm.")
                .orElse(
                        "No lens on the shelf reaches it: turn the head to floor or wall, or make the picture smaller.");
    }

    private static void warnHolders(List<String> warnings, Rig rig, Holders holders) {
        if (holders.hasCarriers() && carrier(rig, holders).isEmpty()) {
            warnings.add("No carrier on the shelf has a window of "
                    + Show.number(rig.frameWidth().inMm()) + " × "
                    + Show.number(rig.frameHeight().inMm()) + " mm.");
        }
        if (holders.hasEasels() && easel(rig, holders).isEmpty()) {
            double width = rig.sheetWidth().inMm();
            double height = rig.sheetHeight().inMm();
            OptionalDouble fixed = holders.fixedBorder(width, height);
            warnings.add(
                    fixed.isPresent()
                            ? "The easel for this sheet covers " + Show.number(fixed.getAsDouble())
                                    + " mm on each side: with a narrower border the picture is cut there."
                            : "No easel on the shelf takes a sheet of " + Show.number(width) + " × "
                                    + Show.number(height) + " mm.");
        }
    }

    static double stopsFromOpen(Rig rig) {
        ApertureMark open =
                ApertureMark.widest(rig.lens().openMark(), rig.lens().marksPerStop());
        return rig.aperture().trueNumber().lightChangeTo(open.trueNumber()).inStops();
    }

    /** What hangs over is lost; and the light has to reach the corners of the paper. */
    private static void warnContact(List<String> warnings, Rig rig) {
        if (rig.subject() instanceof Subject.Proof proof && cutFrames(rig, proof) > 0) {
            int cut = cutFrames(rig, proof);
            warnings.add((cut == 1 ? "One frame hangs" : cut + " frames hang") + " over the edge: the strips need "
                    + Show.number(rig.frameWidth().inMm()) + " × "
                    + Show.number(rig.frameHeight().inMm()) + " mm of paper.");
        }
        double height = rig.lightToPaper().inMm();
        if (!rig.byBareLamp() && height > rig.enlarger().columnMm()) {
            warnings.add("The column of " + rig.enlarger().name() + " ends at "
                    + Show.number(rig.enlarger().columnMm() / 10) + " cm.");
        }
    }

    private static int cutFrames(Rig rig, Subject.Proof proof) {
        Part crop = rig.crop();
        return (int) proof.layout().frames().stream()
                .filter(p -> p.left() < crop.left()
                        || p.top() < crop.top()
                        || p.left() + p.width() > crop.left() + crop.width()
                        || p.top() + p.height() > crop.top() + crop.height())
                .count();
    }
}
