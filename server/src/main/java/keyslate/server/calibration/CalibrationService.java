package keyslate.server.calibration;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import keyslate.core.calibration.ColumnReadings;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.calibration.DryDown;
import keyslate.core.calibration.EvennessReadings;
import keyslate.core.calibration.LagReadings;
import keyslate.core.calibration.Measured;
import keyslate.core.calibration.OpeningReadings;
import keyslate.core.calibration.PupilReadings;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.calibration.CalibrationViews.BurstAsked;
import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.CalibrationViews.ColumnAsked;
import keyslate.server.calibration.CalibrationViews.DryDownAsked;
import keyslate.server.calibration.CalibrationViews.EvennessAsked;
import keyslate.server.calibration.CalibrationViews.HeightAsked;
import keyslate.server.calibration.CalibrationViews.LagAsked;
import keyslate.server.calibration.CalibrationViews.MarkAsked;
import keyslate.server.calibration.CalibrationViews.OpeningsAsked;
import keyslate.server.calibration.CalibrationViews.PairAsked;
import keyslate.server.calibration.CalibrationViews.PlaceAsked;
import keyslate.server.calibration.CalibrationViews.PlaceView;
import keyslate.server.calibration.CalibrationViews.PupilAsked;
import keyslate.server.calibration.Keeping.Found;
import keyslate.server.rig.Constants.Name;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.store.bench.Lens;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.StoredConstant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Readings to constants. What sheets were exposed with stays; later advice and previews rest on the new figure. */
@Service
class CalibrationService {
    private static final double USUAL_UNCERTAINTY = 1.0 / 24;
    private static final double SHOWN_SECONDS = 2;
    private static final double SHOWN_SIZE = 8;

    private final StoresRepository stores;
    private final Keeping keeping;

    CalibrationService(StoresRepository stores, Keeping keeping) {
        this.stores = stores;
        this.keeping = keeping;
    }

    CalibrationView lag(String enlargerId, LagAsked asked) {
        stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        FieldErrors errors = new FieldErrors();
        List<LagReadings.Burst> bursts = each(
                errors,
                "/bursts",
                asked.bursts(),
                (BurstAsked b) -> new LagReadings.Burst(given("set time", b.setSeconds()), given("dose", b.dose())));
        LagReadings.Result result = of(errors, "/bursts", () -> new LagReadings(bursts).result());
        Measured lag = result.lag();
        StoredConstant value = new StoredConstant(lag.figure(), lag.limit(), result.repeats(), null, null);
        return keeping.kept(
                Found.measured(enlargerId, "", Name.LAG, value, asked.bursts()),
                asked.keep(),
                String.format(
                        Locale.ROOT, "The lamp is dead for %.2f s in each burst, ± %.2f s.", lag.figure(), lag.limit()),
                List.of(
                        "A line through the doses over the set times (CAL-01); bursts repeat within "
                                + Show.number(result.repeats()) + " %.",
                        String.format(
                                Locale.ROOT,
                                "At %s the limit is %.2f stop.",
                                Show.seconds(SHOWN_SECONDS),
                                LagReadings.stopsAt(lag.limit(), SHOWN_SECONDS))),
                List.of());
    }

    CalibrationView openings(String lensId, OpeningsAsked asked) {
        Lens lens = stores.lens(lensId).orElseThrow(NotFoundException.of("lens"));
        FieldErrors errors = new FieldErrors();
        Map<ApertureMark, List<Double>> lux = new LinkedHashMap<>();
        each(
                errors,
                "/marks",
                asked.marks(),
                (MarkAsked m) -> lux.put(
                        ApertureMark.onRing(given("mark", m.mark()), lens.openMark(), lens.marksPerStop()),
                        readings(m.lux())));
        Map<ApertureMark, Measured> offsets = of(errors, "/marks", () -> new OpeningReadings(lux).offsets());
        List<PlaceView> places = offsets.entrySet().stream()
                .map(e -> new PlaceView(
                        Show.number(e.getKey().engraved()),
                        e.getValue().figure(),
                        e.getValue().limit()))
                .toList();
        return keeping.kept(
                Found.measured(lensId, "", Name.OPENINGS, ofPlaces(places), asked.marks()),
                asked.keep(),
                "The openings are up to " + farthest(places) + " stop off what is engraved.",
                List.of("Each mark against the mean of all that were read (CAL-03); times between marks follow."),
                places);
    }

    CalibrationView evenness(String enlargerId, EvennessAsked asked) {
        stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        FieldErrors errors = new FieldErrors();
        Map<EvennessReadings.Spot, List<Double>> lux = new EnumMap<>(EvennessReadings.Spot.class);
        spot(errors, lux, "/centre", EvennessReadings.Spot.CENTRE, asked.centre());
        spot(errors, lux, "/topLeft", EvennessReadings.Spot.TOP_LEFT, asked.topLeft());
        spot(errors, lux, "/topRight", EvennessReadings.Spot.TOP_RIGHT, asked.topRight());
        spot(errors, lux, "/bottomRight", EvennessReadings.Spot.BOTTOM_RIGHT, asked.bottomRight());
        spot(errors, lux, "/bottomLeft", EvennessReadings.Spot.BOTTOM_LEFT, asked.bottomLeft());
        errors.throwIfAny();
        Map<EvennessReadings.Spot, Measured> corners = of(errors, "/centre", () -> new EvennessReadings(lux).corners());
        List<PlaceView> places = corners.entrySet().stream()
                .map(e -> new PlaceView(
                        e.getKey().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                        e.getValue().figure(),
                        e.getValue().limit()))
                .toList();
        return keeping.kept(
                Found.measured(enlargerId, "", Name.EVENNESS, ofPlaces(places), asked),
                asked.keep(),
                "The corners differ from the centre by up to " + farthest(places) + " stop.",
                List.of(
                        "Each corner against the centre (CAL-04). Near ½ stop, align lamp and head before anything is burned in."),
                places);
    }

    private static void spot(
            FieldErrors errors,
            Map<EvennessReadings.Spot, List<Double>> lux,
            String pointer,
            EvennessReadings.Spot spot,
            @Nullable List<Double> asked) {
        lux.put(spot, errors.check(pointer, List.of(), () -> readings(asked)));
    }

    CalibrationView pupil(String lensId, PupilAsked asked) {
        stores.lens(lensId).orElseThrow(NotFoundException.of("lens"));
        FieldErrors errors = new FieldErrors();
        List<PupilReadings.Height> heights = each(
                errors,
                "/heights",
                asked.heights(),
                (HeightAsked h) -> new PupilReadings.Height(
                        Magnification.of(given("size", h.magnification())), given("reading", h.lux())));
        Measured inverse = of(errors, "/heights", () -> new PupilReadings(heights).inversePupil());
        return keeping.kept(
                Found.measured(
                        lensId,
                        "",
                        Name.PUPIL,
                        StoredConstant.number(inverse.figure(), inverse.limit()),
                        asked.heights()),
                asked.keep(),
                String.format(Locale.ROOT, "Light follows 1 + %.2f · size, ± %.2f.", inverse.figure(), inverse.limit()),
                List.of("A line through 1/√light over the size (CAL-06); every change of size is reckoned with it."),
                List.of());
    }

    CalibrationView column(String enlargerId, ColumnAsked asked) {
        stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        FieldErrors errors = new FieldErrors();
        if (asked.lensId() == null || stores.lens(asked.lensId()).isEmpty()) {
            errors.add("/lensId", "E_SHAPE", "Choose the lens that is on.");
        }
        double mark =
                errors.check("/markMm", 1.0, () -> Check.within("mark", given("mark", asked.markMm()), 1, 500, "mm"));
        List<ColumnReadings.Place> places = each(
                errors,
                "/places",
                asked.places(),
                (PlaceAsked p) -> new ColumnReadings.Place(
                        given("column reading", p.reading()),
                        Magnification.of(given("projected length", p.projectedMm()) / mark)));
        ColumnScale scale = of(errors, "/places", () -> new ColumnReadings(places).scale());
        StoredConstant value = new StoredConstant(
                null,
                null,
                null,
                null,
                new StoredConstant.Scale(
                        scale.focal().inMm(),
                        scale.begins(),
                        scale.beginsVariance(),
                        scale.focalVariance(),
                        scale.covariance(),
                        scale.freedom()));
        Measured eight = scale.reading(Magnification.of(SHOWN_SIZE));
        return keeping.kept(
                Found.measured(enlargerId, asked.lensId(), Name.COLUMN, value, asked.places()),
                asked.keep(),
                String.format(
                        Locale.ROOT,
                        "%s × stands at %.1f mm on the scale, ± %.1f mm.",
                        Show.number(SHOWN_SIZE),
                        eight.figure(),
                        eight.limit()),
                List.of("A line through the readings over 2 + size + 1/size (CAL-05); the lens is one of "
                        + Show.number(scale.focal().inMm()) + " mm."),
                List.of());
    }

    CalibrationView dryDown(String paperId, DryDownAsked asked) {
        stores.paper(paperId).orElseThrow(NotFoundException.of("paper"));
        FieldErrors errors = new FieldErrors();
        List<DryDown.Pair> pairs = each(
                errors,
                "/pairs",
                asked.pairs(),
                (PairAsked p) -> new DryDown.Pair(
                        ExposureTime.ofSeconds(given("time", p.wetSeconds())),
                        ExposureTime.ofSeconds(given("time", p.drySeconds()))));
        double uncertainty = asked.uncertaintyStops() == null ? USUAL_UNCERTAINTY : asked.uncertaintyStops();
        Measured percent = of(errors, "/pairs", () -> DryDown.of(pairs, Stops.of(uncertainty)));
        return keeping.kept(
                Found.measured(
                        paperId,
                        "",
                        Name.DRY_DOWN,
                        StoredConstant.number(percent.figure(), percent.limit()),
                        asked.pairs()),
                asked.keep(),
                "It dries down by " + Show.number(percent.figure()) + " %, ± " + Show.number(percent.limit()) + " %.",
                List.of("From " + (pairs.size() == 1 ? "one pair" : pairs.size() + " pairs") + " (CAL-07)."),
                List.of());
    }

    private static StoredConstant ofPlaces(List<PlaceView> places) {
        return new StoredConstant(
                null,
                null,
                null,
                places.stream()
                        .map(p -> new StoredConstant.Place(p.at(), p.stops(), p.limitStops()))
                        .toList(),
                null);
    }

    private static String farthest(List<PlaceView> places) {
        double most =
                places.stream().mapToDouble(p -> Math.abs(p.stops())).max().orElse(0);
        return String.format(Locale.ROOT, "%.2f", most);
    }

    private interface Reader<A, R> {
        R read(A asked);
    }

    /** Each reading; what one of them cannot be is said at its place. */
    private static <A, R> List<R> each(
            FieldErrors errors, String pointer, @Nullable List<A> asked, Reader<A, R> reader) {
        List<R> read = new ArrayList<>();
        int at = 0;
        for (A one : asked == null ? List.<A>of() : asked) {
            R made = errors.check(pointer + "/" + at++, null, () -> {
                if (one == null) {
                    throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "reading", "a reading is missing");
                }
                return reader.read(one);
            });
            read.add(made);
        }
        errors.throwIfAny();
        return read;
    }

    private static List<Double> readings(@Nullable List<Double> asked) {
        List<Double> read = new ArrayList<>();
        for (Double one : asked == null ? List.<Double>of() : asked) {
            read.add(Check.positive("reading", given("reading", one), "lx"));
        }
        Check.count("readings of each", read.size(), 2, 100);
        return read;
    }

    private static <R> R of(FieldErrors errors, String pointer, Supplier<R> compute) {
        R found = errors.check(pointer, null, compute);
        errors.throwIfAny();
        return found;
    }

    private static double given(String name, @Nullable Double value) {
        return Check.finite(name, value == null ? Double.NaN : value);
    }
}
