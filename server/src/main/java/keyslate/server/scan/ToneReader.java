package keyslate.server.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import keyslate.core.colour.ColourPaper;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.medium.Colour;
import keyslate.core.picture.PictureOfTest;
import keyslate.core.picture.PictureOfTest.Density;
import keyslate.core.picture.PictureOfTest.OnSheet;
import keyslate.core.picture.ToneTime;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Corners.Place;
import keyslate.core.script.Part;
import keyslate.core.test.GuessPlan;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneWish;
import keyslate.server.Show;
import keyslate.server.scan.ScanViews.DensityView;
import keyslate.server.scan.ScanViews.ToneReadView;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Pictured;
import org.jspecify.annotations.Nullable;

/** One tone in the picture of a test: where it is seen, with which densities, and with which time it has the one that is wanted. */
final class ToneReader {
    /** Spots are about a finger tip. */
    private static final double SPOT = 0.012;

    private static final double LEAST_UNSURE_STOPS = 1.0 / 12;
    private static final double ONE_SHEET_UNSURE_STOPS = 1.0 / 4;

    /** What a picture that something spoils is worth at best: as much as an eye's word about a whole sheet. */
    private static final Stops DOUBTFUL = GuessPlan.JUDGED_TO;

    private final OnCord sheet;
    private final Layout layout;
    private final PictureOfTest picture;

    ToneReader(OnCord sheet, Layout layout, PictureOfTest picture) {
        this.sheet = sheet;
        this.layout = layout;
        this.picture = picture;
    }

    /** What the picture says of a tone. */
    ToneReadView read(FieldErrors errors, Pictured.Tone asked) {
        Optional<NamedTone> named = asked.spots() == null ? named(asked.field()) : Optional.empty();
        double wanted = asked.wantedNet() != null
                ? asked.wantedNet()
                : named.filter(t -> isMiddle(asked.field()))
                        .map(NamedTone::wantedNet)
                        .orElse(usual(asked));
        List<DensityView> densities = layout.missing(picture.papers().size()).isPresent()
                ? List.of()
                : asked.spots() == null ? named.map(this::densities).orElse(List.of()) : tapped(errors, asked.spots());
        String name = named.map(NamedTone::name).orElse(null);
        if (densities.stream().noneMatch(d -> d.seconds() > 0)) {
            return new ToneReadView(
                    asked.field(), name, wanted, densities, null, null, null, null, true, "Tap where this tone lies.");
        }
        DoubleUnaryOperator curve =
                sheet.rig().medium().core().curve(sheet.rig().light());
        List<ToneTime.Seen> seen = densities.stream()
                .filter(d -> d.seconds() > 0)
                .map(d -> new ToneTime.Seen(ExposureTime.ofSeconds(d.seconds()), d.net(), spread(d)))
                .toList();
        ToneTime time;
        try {
            time = ToneTime.of(curve, seen, wanted);
        } catch (QuantityException e) {
            errors.add("/marks/pictured/tones", e.kind().code(), Show.sentence(e.getMessage()));
            return new ToneReadView(asked.field(), name, wanted, densities, null, null, null, null, true, "");
        }
        boolean doubtful = !picture.faults().isEmpty() || !time.reaches();
        Stops limit = doubtful && time.limit().compareTo(DOUBTFUL) < 0 ? DOUBTFUL : time.limit();
        boolean unsure = doubtful || limit.inStops() > unsureFrom();
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
                limit.inStops(),
                at,
                more,
                unsure,
                says(time.time(), limit, at, more, unsure));
    }

    private double unsureFrom() {
        List<Double> received = layout.received();
        if (received.size() < 2) {
            return ONE_SHEET_UNSURE_STOPS;
        }
        double span = Stops.ofFactor(received.get(received.size() - 1) / received.get(0))
                .inStops();
        return Math.max(LEAST_UNSURE_STOPS, span / (received.size() - 1) / 2);
    }

    private double spread(DensityView d) {
        return picture.on(new Place(d.x(), d.y()))
                .map(on -> picture.density(on.paper(), on.u(), on.v(), SPOT / 2, SPOT / 2)
                        .spread())
                .orElse(0.0);
    }

    private static boolean isMiddle(String field) {
        return "rightAt".equals(field) || "moreStops".equals(field);
    }

    /** What the marks by eye mean: whites just hold, a first true black, a middle. */
    private double usual(Pictured.Tone asked) {
        if (!sheet.rig().light().points().isEmpty()) {
            return Colour.WANTED_DENSITY - ColourPaper.LEAST;
        }
        return switch (asked.field()) {
            case "whitesAt" -> VariableContrastPaper.HIGHLIGHT_NET;
            case "blacksAt" -> VariableContrastPaper.SHADOW_NET;
            default -> VariableContrastPaper.SPEED_NET;
        };
    }

    private Optional<NamedTone> named(String field) {
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

    private List<DensityView> densities(NamedTone tone) {
        List<DensityView> densities = new ArrayList<>();
        for (OnPaper patch : layout.patches()) {
            if (patch.holds(tone)) {
                Part view = patch.view();
                OnSheet on = layout.onSheet(
                        patch, (tone.x() - view.left()) / view.width(), (tone.y() - view.top()) / view.height());
                double radius = layout.radius(SPOT / view.width());
                densities.add(density(patch, on, radius));
            }
        }
        return densities;
    }

    private List<DensityView> tapped(FieldErrors errors, List<List<Double>> spots) {
        List<DensityView> densities = new ArrayList<>();
        for (List<Double> spot : spots) {
            Optional<Place> place = AskedFields.place(errors, "/marks/pictured/tones", spot == null ? List.of() : spot);
            Optional<OnSheet> on = place.flatMap(picture::on);
            Optional<OnPaper> patch = on.flatMap(layout::patchAt);
            if (patch.isPresent()) {
                densities.add(density(patch.get(), on.get(), layout.radius(SPOT)));
            }
        }
        return densities;
    }

    private DensityView density(OnPaper patch, OnSheet on, double radius) {
        Density density = picture.density(on.paper(), on.u(), on.v(), radius, radius * layout.aspect());
        Place at = picture.at(on.paper(), on.u(), on.v());
        return new DensityView(
                patch.patch().number(), at.x(), at.y(), patch.patch().receivedSeconds(), density.net());
    }

    private String says(ExposureTime time, Stops limit, @Nullable Double at, @Nullable Double more, boolean unsure) {
        String seconds = Show.seconds(time.inSeconds()) + ", ± " + Show.stopsApart(limit) + " (95 %)";
        if (more != null) {
            return "It needs " + Show.stops(Stops.of(more)) + ": " + seconds + (unsure ? "; not sure." : ".");
        }
        String where = at == null ? "off this test" : layout.whereIs(at);
        return seconds + ", " + where + (unsure ? "; not sure." : ".");
    }
}
