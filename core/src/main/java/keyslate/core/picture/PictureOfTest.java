package keyslate.core.picture;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.colour.Layers;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.quantity.Check;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.core.reading.PatchTone;
import keyslate.core.script.Part;

/**
 * The picture of a test, measured: what is bare paper in it, how even and of what colour its light is, where the patches lie, what spoils it, and the density of
 * every place.
 *
 * <p>REA-21: net density = gradation · −log10 of the light over that of the white at the same place (REA-19), weighed as the eye sees; gradation 1, or what a
 * grey card or the paper's black tells of the camera.
 */
public final class PictureOfTest {
    /** Net density of an 18 % grey card against a paper white of 0.06. */
    public static final double GREY_CARD_NET = 0.745 - 0.06;

    /** About what a finger tip covers. */
    private static final double SPOT = 0.012;

    private static final int SPOT_SIDE = 11;
    private static final double LEAST_KEPT = 0.6;
    private static final double LEAST_GRADATION = 0.7;
    private static final double MOST_GRADATION = 1.4;

    /** What spoils a picture. */
    public enum Fault {
        /** The edges of the paper are soft against its patches. */
        BLURRED,
        /** Something in it is brighter than bare paper. */
        GLARE,
        /** The white of the paper has no tone left. */
        CLIPPED,
        /** The white of the paper is darker than a middle grey. */
        TOO_DARK,
        /** The patches get darker the other way. */
        WRONG_WAY,
        /** Fewer lines between patches were seen than half of those planned. */
        TOO_FEW_PATCHES,
        /** No rim and no place that is said to be white. */
        NO_WHITE,
        /** The light differs by more across it than a surface tells. */
        UNEVEN,
        /** Grey card and white do not fit together. */
        REFERENCES
    }

    /** What tells what white is. */
    public enum White {
        RIM,
        SAID,
        GREY_CARD,
        /** The scanner is set to this paper's white. */
        SCANNER,
        /** Nothing does: the brightest place is taken for it. */
        BRIGHTEST
    }

    /**
     * Places that the user knows, in fractions of the picture; each may be left out.
     *
     * @param black a place as black as this paper gets, {@code blackNet} its net density
     * @param bare linear light that bare paper sends back in this picture, where the scanner is set to it and sees nothing of a rim
     */
    public record Known(
            Optional<Place> white,
            Optional<Place> black,
            double blackNet,
            Optional<Place> greyCard,
            Optional<Layers> bare) {
        private static final double USUAL_BLACK_NET = 2;
        public static final Known NOTHING = new Known(Optional.empty(), Optional.empty());

        /** Of a picture whose colours are measured: a place of bare paper, or what bare paper gives. */
        public Known(Optional<Place> white, Optional<Layers> bare) {
            this(white, Optional.empty(), USUAL_BLACK_NET, Optional.empty(), bare);
        }

        /** The same places, where bare paper gives that. */
        public Known where(Optional<Layers> itGives) {
            return new Known(white, black, blackNet, greyCard, itGives);
        }
    }

    /**
     * The test as it was planned.
     *
     * @param lines lines between patches in a row, in fractions of the printed part; none where the patches lie otherwise
     * @param alongWidth whether that row runs across the sheet, else down it
     * @param darkerAlong whether later patches of the row got more light
     * @param alike whether all patches show one and the same spot
     */
    public record Planned(List<Double> lines, boolean alongWidth, boolean darkerAlong, boolean alike) {
        public Planned {
            lines = List.copyOf(lines);
        }

        /** No patches in a row. */
        public static final Planned PLAIN = new Planned(List.of(), true, true, false);
    }

    /** A density with how far it may be off (one standard deviation). */
    public record Density(double net, double spread) {}

    private final LitPicture picture;
    private final List<Corners> papers;
    private final List<Part> printed;
    private final WhiteOfPaper white;
    private final White whiteBy;
    private final double gradation;
    private final PatchLines lines;
    private final Set<Fault> faults;
    private final double unevenStops;

    private PictureOfTest(
            LitPicture picture,
            List<Corners> papers,
            List<Part> printed,
            WhiteOfPaper white,
            White whiteBy,
            double gradation,
            PatchLines lines,
            Set<Fault> faults,
            double unevenStops) {
        this.picture = picture;
        this.papers = List.copyOf(papers);
        this.printed = List.copyOf(printed);
        this.white = white;
        this.whiteBy = whiteBy;
        this.gradation = gradation;
        this.lines = lines;
        this.faults = faults;
        this.unevenStops = unevenStops;
    }

    /**
     * Measures a picture.
     *
     * @param light linear, upright
     * @param papers the sheets in it, one or one for each piece
     */
    public static PictureOfTest of(ColourRaster light, List<Corners> papers, Planned planned, Known known) {
        Check.count("papers", papers.size(), 1, 100);
        LitPicture picture = new LitPicture(light);
        Set<Fault> faults = EnumSet.noneOf(Fault.class);
        // A light part of a picture is easily taken for a rim: not where its white is known without one.
        List<Optional<Rim>> rims = papers.stream()
                .map(p -> known.bare().isPresent() ? Optional.<Rim>empty() : Rim.of(picture, p))
                .toList();
        List<Place> bare = rims.stream()
                .flatMap(Optional::stream)
                .flatMap(r -> r.samples().stream())
                .toList();
        List<Part> printed =
                rims.stream().map(r -> r.map(Rim::printed).orElse(Part.WHOLE)).toList();
        WhiteOfPaper surface;
        White by;
        if (!bare.isEmpty()) {
            surface = WhiteOfPaper.through(picture, bare, WhiteOfPaper.Shape.CURVED);
            by = White.RIM;
        } else if (known.white().isPresent()) {
            surface = levelled(
                    picture,
                    WhiteOfPaper.brightest(picture, papers),
                    known.white().get(),
                    0);
            by = White.SAID;
        } else if (known.greyCard().isPresent()) {
            surface = levelled(
                    picture,
                    WhiteOfPaper.brightest(picture, papers),
                    known.greyCard().get(),
                    GREY_CARD_NET);
            by = White.GREY_CARD;
        } else if (known.bare().isPresent()) {
            surface = WhiteOfPaper.evenly(known.bare().get());
            by = White.SCANNER;
        } else {
            surface = WhiteOfPaper.brightest(picture, papers);
            by = White.BRIGHTEST;
        }
        if (by == White.BRIGHTEST) {
            faults.add(Fault.NO_WHITE);
        }
        double gradation = gradation(picture, surface, by, known, faults);
        PatchLines found = lines(picture, papers.get(0), printed.get(0), surface, planned, faults);
        Spoilt.exposure(picture, papers, bare, surface, faults);
        double uneven = Spoilt.uneven(papers, surface);
        if (uneven > Spoilt.MOST_UNEVEN_STOPS || surface.kept() < LEAST_KEPT) {
            faults.add(Fault.UNEVEN);
        }
        if (Spoilt.isBlurred(picture, papers.get(0), printed.get(0), surface, planned)) {
            faults.add(Fault.BLURRED);
            // A rim that runs into what lies beside it is no white to measure glare by.
            faults.remove(Fault.GLARE);
        }
        return new PictureOfTest(picture, papers, printed, surface, by, gradation, found, faults, uneven);
    }

    /** The surface moved so that a place has a net density. */
    private static WhiteOfPaper levelled(LitPicture picture, WhiteOfPaper surface, Place at, double net) {
        double[] raise = new double[LitPicture.CHANNELS];
        for (int c = 0; c < raise.length; c++) {
            int channel = c;
            raise[c] = around(at, p -> picture.log(channel, p)).mean() + net - surface.log(c, at);
        }
        return surface.raised(raise);
    }

    private static double gradation(LitPicture picture, WhiteOfPaper white, White by, Known known, Set<Fault> faults) {
        Optional<Place> place = known.black();
        double net = known.blackNet();
        if (place.isEmpty() && by != White.GREY_CARD) {
            place = known.greyCard();
            net = GREY_CARD_NET;
        }
        if (place.isEmpty()) {
            return 1;
        }
        double seen =
                around(place.get(), p -> -Math.log10(picture.share(p, white))).mean();
        double gradation = net / Math.max(0.01, seen);
        if (gradation < LEAST_GRADATION || gradation > MOST_GRADATION) {
            faults.add(Fault.REFERENCES);
            return 1;
        }
        return gradation;
    }

    private static PatchLines lines(
            LitPicture picture, Corners paper, Part printed, WhiteOfPaper white, Planned planned, Set<Fault> faults) {
        PatchLines.Densities densities = (along, across) -> {
            double u = planned.alongWidth() ? along : across;
            double v = planned.alongWidth() ? across : along;
            Place at = paper.at(printed.left() + printed.width() * u, printed.top() + printed.height() * v);
            return -Math.log10(picture.share(at, white));
        };
        PatchLines found = PatchLines.in(densities, planned.lines(), planned.alike());
        if (!planned.lines().isEmpty()) {
            if (planned.darkerAlong() ? found.rises() < 0 : found.rises() > 0) {
                faults.add(Fault.WRONG_WAY);
            }
            if (2 * found.found() < planned.lines().size()) {
                faults.add(Fault.TOO_FEW_PATCHES);
            }
        }
        return found;
    }

    /** Something at a place of the picture. */
    private interface Figure {
        double at(Place place);
    }

    private static PatchTone around(Place at, Figure figure) {
        double[] values = new double[SPOT_SIDE * SPOT_SIDE];
        for (int i = 0; i < values.length; i++) {
            double dx = 2.0 * (i % SPOT_SIDE) / (SPOT_SIDE - 1) - 1;
            double dy = 2.0 * (i / SPOT_SIDE) / (SPOT_SIDE - 1) - 1;
            values[i] = figure.at(new Place(at.x() + SPOT / 2 * dx, at.y() + SPOT / 2 * dy));
        }
        return PatchTone.of(values);
    }

    /**
     * The net density about a place of a sheet.
     *
     * @param paper which sheet, from 0
     * @param u across its printed part, 0 to 1; {@code v} down it
     * @param radius of the spot, as a share of the printed part's width; {@code radiusDown} of its height
     */
    public Density density(int paper, double u, double v, double radius, double radiusDown) {
        PatchTone tone = PatchTone.of(spot(paper, u, v, radius, radiusDown, at -> picture.share(at, white)));
        double net = -gradation * Math.log10(Math.max(1e-3, tone.mean()));
        return new Density(net, Math.hypot(white.rms(), tone.sigma() / Math.max(1e-3, tone.mean()) / Math.log(10) / 4));
    }

    /**
     * The light of a spot in red, green and blue, each as a share of what bare paper sends there, 1 = white: the lamp's colour and unevenness taken out.
     *
     * @param paper which sheet, from 0
     * @param radius of the spot, as a share of the printed part's width; {@code radiusDown} of its height
     */
    public Layers colour(int paper, double u, double v, double radius, double radiusDown) {
        double[] shares = new double[LitPicture.CHANNELS];
        for (int c = 0; c < shares.length; c++) {
            int channel = c;
            PatchTone tone = PatchTone.of(spot(
                    paper,
                    u,
                    v,
                    radius,
                    radiusDown,
                    at -> picture.light(channel, at) / Math.pow(10, white.log(channel, at))));
            shares[c] = Math.pow(Math.max(1e-3, tone.mean()), gradation);
        }
        return Layers.of(shares);
    }

    private double[] spot(int paper, double u, double v, double radius, double radiusDown, Figure figure) {
        Part inside = printed.get(paper);
        Corners corners = papers.get(paper);
        double[] values = new double[SPOT_SIDE * SPOT_SIDE];
        for (int i = 0; i < values.length; i++) {
            double dx = 2.0 * (i % SPOT_SIDE) / (SPOT_SIDE - 1) - 1;
            double dy = 2.0 * (i / SPOT_SIDE) / (SPOT_SIDE - 1) - 1;
            double x = Math.max(0, Math.min(1, u + radius * dx));
            double y = Math.max(0, Math.min(1, v + radiusDown * dy));
            values[i] = figure.at(corners.at(inside.left() + inside.width() * x, inside.top() + inside.height() * y));
        }
        return values;
    }

    /** The place in the picture of a place of a sheet's printed part. */
    public Place at(int paper, double u, double v) {
        Part inside = printed.get(paper);
        return papers.get(paper).at(inside.left() + inside.width() * u, inside.top() + inside.height() * v);
    }

    /**
     * A place on a sheet.
     *
     * @param paper which sheet, from 0
     * @param u across its printed part, 0 to 1; {@code v} down it
     */
    public record OnSheet(int paper, double u, double v) {}

    /** The place on a sheet's printed part that is seen at a place of the picture; none beside all of them. */
    public Optional<OnSheet> on(Place at) {
        for (int paper = 0; paper < papers.size(); paper++) {
            Part inside = printed.get(paper);
            Optional<Place> place = papers.get(paper).on(at);
            if (place.isPresent()) {
                double u = (place.get().x() - inside.left()) / inside.width();
                double v = (place.get().y() - inside.top()) / inside.height();
                return u < 0 || u > 1 || v < 0 || v > 1 ? Optional.empty() : Optional.of(new OnSheet(paper, u, v));
            }
        }
        return Optional.empty();
    }

    /** The sheets, as they were given. */
    public List<Corners> papers() {
        return papers;
    }

    /** The part of each sheet inside its rim. */
    public List<Part> printed() {
        return printed;
    }

    /** Where the lines between the patches lie, in fractions of the printed part. */
    public List<Double> lines() {
        return lines.at();
    }

    /** How many of them were seen. */
    public int linesFound() {
        return lines.found();
    }

    public Set<Fault> faults() {
        return Set.copyOf(faults);
    }

    public White whiteBy() {
        return whiteBy;
    }

    /** How the camera's densities were stretched. */
    public double gradation() {
        return gradation;
    }

    /** By how much the light differs across the sheets, stops; taken out where there is a rim. */
    public double unevenStops() {
        return unevenStops;
    }

    /** The lamp's cast in points of a yellow filter, negative = blue; taken out. */
    public double yellowPoints() {
        Place middle = papers.get(0).at(0.5, 0.5);
        return 100 * ((white.log(0, middle) + white.log(1, middle)) / 2 - white.log(2, middle));
    }
}
