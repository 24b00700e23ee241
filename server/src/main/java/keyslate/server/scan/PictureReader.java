package keyslate.server.scan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.picture.ClippedCorners;
import keyslate.core.picture.PictureOfTest;
import keyslate.core.picture.PictureOfTest.Density;
import keyslate.core.picture.PictureOfTest.Fault;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.picture.PictureOfTest.OnSheet;
import keyslate.core.picture.ToneTime;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.core.script.Part;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneWish;
import keyslate.server.Show;
import keyslate.server.scan.ScanViews.DensityView;
import keyslate.server.scan.ScanViews.FactView;
import keyslate.server.scan.ScanViews.LineView;
import keyslate.server.scan.ScanViews.PictureView;
import keyslate.server.scan.ScanViews.ToneReadView;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Pictured;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Measures the picture of a test and says with which time a tone gets the density that is wanted. */
@Component
public class PictureReader {
    private static final int MOST_SPOTS = 20;
    private static final int MOST_TONES = 3;
    private static final double DENSEST = 2;
    /** Spots that the user taps are about a finger tip. */
    private static final double SPOT = 0.012;

    private static final double LEAST_UNSURE_STOPS = 1.0 / 12;
    private static final double ONE_SHEET_UNSURE_STOPS = 1.0 / 4;
    private static final Map<Fault, String> WORDS = new EnumMap<>(Map.of(
            Fault.BLURRED, "The picture is blurred against its patches: take it again with a steady hand.",
            Fault.GLARE, "Something shines on the paper, brighter than its white: turn it away from the lamp.",
            Fault.CLIPPED, "The white of the paper has no tone left: give the picture less light.",
            Fault.TOO_DARK, "The picture is too dark to tell a light tone: give it more light.",
            Fault.WRONG_WAY, "The patches get darker the other way: turn the corners by half a turn.",
            Fault.TOO_FEW_PATCHES, "Fewer patches are seen than were made: see whether the corners sit on the paper.",
            Fault.NO_WHITE, "No white rim is seen. Tap a place of bare paper, or a grey card beside it.",
            Fault.UNEVEN, "The light differs too much across the paper: lay it flat under one lamp.",
            Fault.REFERENCES, "What was tapped as black or grey card does not fit the paper's white."));

    private final ScanPictures pictures;

    PictureReader(ScanPictures pictures) {
        this.pictures = pictures;
    }

    /**
     * Measures what is asked for.
     *
     * @throws ConflictException where the sheet has no picture, is no test, or got several lights
     */
    public PictureView read(OnCord sheet, Pictured asked) {
        if (sheet.patches().isEmpty() || sheet.exposed().scans().isEmpty()) {
            throw new ConflictException("no-picture", "Only a test with a picture can be read from it.");
        }
        if (sheet.patches().get().differInLight()) {
            throw new ConflictException(
                    "several-lights", "Pieces of different lights are compared by eye: no one curve tells their time.");
        }
        FieldErrors errors = new FieldErrors();
        int scan = asked.scan() == null ? sheet.exposed().scans().size() : asked.scan();
        if (scan < 1 || scan > sheet.exposed().scans().size()) {
            errors.add("/marks/pictured/scan", "E_RANGE", "This sheet has no such picture.");
        }
        List<Pictured.Tone> tones = asked.tones() == null ? List.of() : asked.tones();
        if (tones.size() > MOST_TONES || tones.stream().anyMatch(t -> t == null || !isKnown(t))) {
            errors.add("/marks/pictured/tones", "E_SHAPE", "Ask for whitesAt, rightAt, blacksAt or moreStops.");
        }
        Known known = known(errors, asked);
        Optional<List<Corners>> given = corners(errors, asked.papers());
        errors.throwIfAny();
        ScanPictures.Decoded light =
                pictures.of(sheet.exposed().scans().get(scan - 1).pictureId());
        Layout layout = Layout.of(sheet);
        PictureOfTest picture = measured(light, layout, given, pictures.corners(sheet, scan), known);
        double unsureFrom = unsureFrom(layout);
        List<ToneReadView> read = tones.stream()
                .map(tone -> tone(errors, sheet, layout, picture, tone, unsureFrom))
                .toList();
        errors.throwIfAny();
        return view(scan, layout, picture, read);
    }

    private static boolean isKnown(Pictured.Tone tone) {
        return tone.field() != null
                && List.of("whitesAt", "rightAt", "blacksAt", "moreStops").contains(tone.field())
                && (tone.wantedNet() == null || tone.wantedNet() > 0 && tone.wantedNet() < DENSEST)
                && (tone.spots() == null || tone.spots().size() <= MOST_SPOTS);
    }

    private static double unsureFrom(Layout layout) {
        List<Double> received = layout.received();
        if (received.size() < 2) {
            return ONE_SHEET_UNSURE_STOPS;
        }
        double span = Stops.ofFactor(received.get(received.size() - 1) / received.get(0))
                .inStops();
        return Math.max(LEAST_UNSURE_STOPS, span / (received.size() - 1) / 2);
    }

    private static Known known(FieldErrors errors, Pictured asked) {
        return new Known(
                place(errors, "/marks/pictured/white", asked.white()),
                place(errors, "/marks/pictured/black", asked.black()),
                VariableContrastPaper.NET_MAXIMUM,
                place(errors, "/marks/pictured/greyCard", asked.greyCard()));
    }

    private static Optional<Place> place(FieldErrors errors, String pointer, @Nullable List<Double> place) {
        if (place == null) {
            return Optional.empty();
        }
        return errors.check(pointer, Optional.empty(), () -> {
            Check.count("coordinates", place.size(), 2, 2);
            return Optional.of(new Place(
                    Check.within("x", orNaN(place.get(0)), 0, 1, ""),
                    Check.within("y", orNaN(place.get(1)), 0, 1, "")));
        });
    }

    private static double orNaN(@Nullable Double value) {
        return value == null ? Double.NaN : value;
    }

    private static Optional<List<Corners>> corners(FieldErrors errors, @Nullable List<List<Double>> papers) {
        if (papers == null || papers.isEmpty()) {
            return Optional.empty();
        }
        return errors.check("/marks/pictured/papers", Optional.empty(), () -> {
            Check.count("papers", papers.size(), 1, MOST_SPOTS);
            List<Corners> corners = new ArrayList<>();
            for (List<Double> paper : papers) {
                corners.add(Corners.of(paper == null ? List.of() : paper));
            }
            return Optional.of(corners);
        });
    }

    /** As the corners were given, else as the papers are found, turned so that the patches get darker the right way. */
    private static PictureOfTest measured(
            ScanPictures.Decoded decoded,
            Layout layout,
            Optional<List<Corners>> given,
            Optional<Corners> handedIn,
            Known known) {
        ColourRaster light = decoded.light();
        if (given.isPresent()) {
            return PictureOfTest.of(light, given.get(), layout.planned(), known);
        }
        List<Corners> found = found(decoded, layout, handedIn);
        PictureOfTest picture = PictureOfTest.of(light, found, layout.planned(), known);
        if (!picture.faults().contains(Fault.WRONG_WAY)) {
            return picture;
        }
        List<Corners> other = found.stream().map(c -> c.turned().turned()).toList();
        PictureOfTest turned = PictureOfTest.of(light, other, layout.planned(), known);
        return turned.faults().contains(Fault.WRONG_WAY) ? picture : turned;
    }

    private static List<Corners> found(ScanPictures.Decoded decoded, Layout layout, Optional<Corners> handedIn) {
        ColourRaster light = decoded.light();
        List<Corners> papers = decoded.papers();
        if (layout.papers() > 1 && papers.size() == layout.papers()) {
            return ClippedCorners.ordered(light, papers).orElseGet(() -> ClippedCorners.asTheyLie(papers));
        }
        if (handedIn.isPresent()) {
            return List.of(handedIn.get());
        }
        if (papers.isEmpty() || layout.papers() > 1) {
            return List.of(Corners.whole());
        }
        Corners largest = papers.get(0);
        return List.of(layout.liesAlike(largest, light) ? largest : largest.turned());
    }

    private ToneReadView tone(
            FieldErrors errors,
            OnCord sheet,
            Layout layout,
            PictureOfTest picture,
            Pictured.Tone asked,
            double unsureFrom) {
        Optional<NamedTone> named = asked.spots() == null ? named(sheet, asked.field()) : Optional.empty();
        double wanted = asked.wantedNet() != null
                ? asked.wantedNet()
                : named.filter(t -> isMiddle(asked.field()))
                        .map(NamedTone::wantedNet)
                        .orElse(usual(sheet, asked));
        List<DensityView> densities = asked.spots() == null
                ? named.map(t -> densities(layout, picture, t)).orElse(List.of())
                : tapped(errors, layout, picture, asked.spots());
        String name = named.map(NamedTone::name).orElse(null);
        if (densities.isEmpty()) {
            return new ToneReadView(
                    asked.field(), name, wanted, densities, null, null, null, null, true, "Tap where this tone lies.");
        }
        DoubleUnaryOperator curve =
                sheet.rig().medium().core().curve(sheet.rig().light());
        List<ToneTime.Seen> seen = densities.stream()
                .map(d -> new ToneTime.Seen(ExposureTime.ofSeconds(d.seconds()), d.net(), spread(picture, d)))
                .toList();
        ToneTime time;
        try {
            time = ToneTime.of(curve, seen, wanted);
        } catch (QuantityException e) {
            errors.add("/marks/pictured/tones", e.kind().code(), Show.sentence(e.getMessage()));
            return new ToneReadView(asked.field(), name, wanted, densities, null, null, null, null, true, "");
        }
        boolean unsure =
                !picture.faults().isEmpty() || !time.reaches() || time.limit().inStops() > unsureFrom;
        Double at = layout.positionOf(time.time().inSeconds());
        Double more = layout.received().size() == 1
                ? time.time()
                        .stopsFrom(ExposureTime.ofSeconds(layout.received().get(0)))
                        .inStops()
                : null;
        return new ToneReadView(
                asked.field(),
                name,
                wanted,
                densities,
                time.time().inSeconds(),
                time.limit().inStops(),
                at,
                more,
                unsure,
                says(layout, time, at, more, unsure));
    }

    private static double spread(PictureOfTest picture, DensityView d) {
        return picture.on(new Place(d.x(), d.y()))
                .map(on -> picture.density(on.paper(), on.u(), on.v(), SPOT / 2, SPOT / 2)
                        .spread())
                .orElse(0.0);
    }

    private static boolean isMiddle(String field) {
        return "rightAt".equals(field) || "moreStops".equals(field);
    }

    /** What the marks by eye mean: whites just hold, a first true black, a middle. */
    private static double usual(OnCord sheet, Pictured.Tone asked) {
        if (!sheet.rig().light().points().isEmpty()) {
            return keyslate.core.medium.Colour.WANTED_DENSITY - keyslate.core.colour.ColourPaper.LEAST;
        }
        return switch (asked.field()) {
            case "whitesAt" -> VariableContrastPaper.HIGHLIGHT_NET;
            case "blacksAt" -> VariableContrastPaper.SHADOW_NET;
            default -> VariableContrastPaper.SPEED_NET;
        };
    }

    private static Optional<NamedTone> named(OnCord sheet, String field) {
        List<NamedTone> tones = sheet.rig().recipe().naming().tones();
        ToneWish wish = switch (field) {
            case "whitesAt" -> ToneWish.WHITE_HOLDS;
            case "blacksAt" -> ToneWish.TRUE_BLACK;
            default -> ToneWish.MIDDLE;
        };
        return Stream.concat(
                        tones.stream().filter(t -> t.wish() == wish),
                        tones.stream().filter(t -> isMiddle(field) && t.wish() == ToneWish.OWN))
                .findFirst();
    }

    private static List<DensityView> densities(Layout layout, PictureOfTest picture, NamedTone tone) {
        List<DensityView> densities = new ArrayList<>();
        for (OnPaper patch : layout.patches()) {
            if (patch.holds(tone)) {
                Part view = patch.view();
                OnSheet on = layout.onSheet(
                        patch, (tone.x() - view.left()) / view.width(), (tone.y() - view.top()) / view.height());
                double radius = layout.radius(SPOT / view.width());
                densities.add(density(layout, picture, patch, on, radius));
            }
        }
        return densities;
    }

    private static List<DensityView> tapped(
            FieldErrors errors, Layout layout, PictureOfTest picture, List<List<Double>> spots) {
        List<DensityView> densities = new ArrayList<>();
        for (List<Double> spot : spots) {
            Optional<Place> place = place(errors, "/marks/pictured/tones", spot == null ? List.of() : spot);
            Optional<OnSheet> on = place.flatMap(picture::on);
            Optional<OnPaper> patch = on.flatMap(layout::patchAt);
            if (patch.isPresent()) {
                densities.add(density(layout, picture, patch.get(), on.get(), layout.radius(SPOT)));
            }
        }
        return densities;
    }

    private static DensityView density(Layout layout, PictureOfTest picture, OnPaper patch, OnSheet on, double radius) {
        Density density = picture.density(on.paper(), on.u(), on.v(), radius, radius * layout.aspect());
        Place at = picture.at(on.paper(), on.u(), on.v());
        return new DensityView(
                patch.patch().number(), at.x(), at.y(), patch.patch().receivedSeconds(), density.net());
    }

    private static String says(
            Layout layout, ToneTime time, @Nullable Double at, @Nullable Double more, boolean unsure) {
        String seconds = Show.seconds(time.time().inSeconds()) + ", ± " + Show.stopsApart(time.limit()) + " (95 %)";
        if (more != null) {
            return "It needs " + Show.stops(Stops.of(more)) + ": " + seconds + (unsure ? "; not sure." : ".");
        }
        String where = at == null ? "off this test" : layout.whereIs(at);
        return seconds + ", " + where + (unsure ? "; not sure." : ".");
    }

    private static PictureView view(int scan, Layout layout, PictureOfTest picture, List<ToneReadView> tones) {
        List<String> problems = picture.faults().stream()
                .sorted(Comparator.naturalOrder())
                .map(WORDS::get)
                .toList();
        List<FactView> facts = new ArrayList<>();
        int lines = layout.planned().lines().size();
        if (lines > 0) {
            facts.add(new FactView("Lines between patches", picture.linesFound() + " of " + lines + " seen"));
        }
        facts.add(new FactView(
                "White by",
                switch (picture.whiteBy()) {
                    case RIM -> "the paper's rim";
                    case SAID -> "the place you tapped";
                    case GREY_CARD -> "the grey card";
                    case BRIGHTEST -> "nothing but the brightest place";
                }));
        if (picture.gradation() != 1) {
            facts.add(
                    new FactView("Camera's contrast", "taken as " + Show.factor(1 / picture.gradation()) + " of true"));
        }
        facts.add(new FactView("Unevenness taken out", Show.stopsApart(Stops.of(picture.unevenStops()))));
        long points = Math.round(picture.yellowPoints());
        facts.add(new FactView(
                "Lamp's cast",
                Math.abs(points) < 2
                        ? "none"
                        : "taken out, " + Math.abs(points) + " points " + (points > 0 ? "yellow" : "blue")));
        return new PictureView(
                scan,
                picture.papers().stream().map(PictureReader::coordinates).toList(),
                IntStream.range(0, picture.papers().size())
                        .mapToObj(p -> Stream.of(
                                        picture.at(p, 0, 0),
                                        picture.at(p, 1, 0),
                                        picture.at(p, 1, 1),
                                        picture.at(p, 0, 1))
                                .flatMap(c -> Stream.of(c.x(), c.y()))
                                .toList())
                        .toList(),
                picture.lines().stream().map(at -> line(layout, picture, at)).toList(),
                facts,
                problems,
                tones,
                !problems.isEmpty() || tones.stream().anyMatch(ToneReadView::unsure));
    }

    private static List<Double> coordinates(Corners corners) {
        return corners.places().stream().flatMap(c -> Stream.of(c.x(), c.y())).toList();
    }

    private static LineView line(Layout layout, PictureOfTest picture, double at) {
        boolean along = layout.planned().alongWidth();
        Place from = along ? picture.at(0, at, 0) : picture.at(0, 0, at);
        Place to = along ? picture.at(0, at, 1) : picture.at(0, 1, at);
        return new LineView(from.x(), from.y(), to.x(), to.y());
    }
}
