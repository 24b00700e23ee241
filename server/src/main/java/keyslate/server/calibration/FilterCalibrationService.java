package keyslate.server.calibration;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import keyslate.core.calibration.BatchReadings;
import keyslate.core.calibration.FilterReadings;
import keyslate.core.calibration.Measured;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.CalibrationViews.PlaceView;
import keyslate.server.calibration.FilterAsked.BatchAsked;
import keyslate.server.calibration.FilterAsked.BatchPair;
import keyslate.server.calibration.FilterAsked.FilterMarks;
import keyslate.server.calibration.FilterAsked.FiltersAsked;
import keyslate.server.calibration.FilterAsked.HeadTableAsked;
import keyslate.server.calibration.Keeping.Found;
import keyslate.server.rig.Constants.Name;
import keyslate.server.rig.FilterConstants;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.RefusedException;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.StoredConstant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Sheets to what is known of filters, dials and batches. Every preview, advice and change of set-up rests on it from then on; sheets that were exposed keep what stood for them. */
@Service
class FilterCalibrationService {
    private static final double USUAL_STEP = 0.15;
    private static final double STOP = Math.log10(2);

    private final StoresRepository stores;
    private final ConstantRepository constants;
    private final Keeping keeping;

    FilterCalibrationService(StoresRepository stores, ConstantRepository constants, Keeping keeping) {
        this.stores = stores;
        this.constants = constants;
        this.keeping = keeping;
    }

    /** What is found, with what speaks for it. */
    private record Lights(Map<GradeFilter, FilterReadings.Light> lights, String way) {}

    CalibrationView filters(String paperId, FiltersAsked asked) {
        Paper paper = mono(paperId);
        FieldErrors errors = new FieldErrors();
        Optional<Enlarger> enlarger =
                asked.enlargerId() == null ? Optional.empty() : stores.enlarger(asked.enlargerId());
        if (enlarger.isEmpty()) {
            errors.add("/enlargerId", "E_SHAPE", "Say under which enlarger.");
        }
        boolean bySteps = asked.lines() != null && !asked.lines().isBlank();
        Lights found = bySteps ? steps(errors, paper, asked) : marks(errors, asked);
        refuseFilters(errors, paper, found, bySteps ? "/lines" : "/marks");
        if (found.lights().isEmpty() && errors.isEmpty()) {
            errors.add(bySteps ? "/lines" : "/marks", "E_SHAPE", "One filter at least, read whole.");
        }
        errors.throwIfAny();
        FilterTable read = errors.check(
                bySteps ? "/lines" : "/marks", FilterTable.NOTHING, () -> FilterReadings.table(found.lights()));
        errors.throwIfAny();
        // Filters that were read before stay where one of them was read again to compare with.
        FilterTable table = before(paper.id(), enlarger.orElseThrow().id())
                .filter(b -> b.of(read.reference()).isPresent())
                .map(read::over)
                .orElse(read);
        GradeFilter reference = table.reference();
        List<PlaceView> places = table.entries().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .filter(e -> e.getKey() != reference)
                .map(e -> new PlaceView(
                        e.getKey().written(),
                        e.getValue().whitesLog() / STOP,
                        e.getValue().limitStops()))
                .toList();
        List<String> why = new ArrayList<>();
        why.add(found.way());
        table.entries()
                .forEach((filter, e) -> why.add(String.format(
                        Locale.ROOT,
                        "%s prints R %.0f ± %.0f: like a grade %.1f.",
                        capital(filter.written()),
                        e.isoRange(),
                        e.limitRange(),
                        new VariableContrastPaper(table).gradeThrough(filter).onScale())));
        filterIn(table).ifPresent(why::add);
        found.lights().values().stream().mapToDouble(FilterReadings.Light::residual).max().stream()
                .filter(r -> r > 0)
                .forEach(r -> why.add(
                        String.format(Locale.ROOT, "What the curve leaves of the densities: up to %.3f D.", r)));
        return keeping.kept(
                Found.measured(paper.id(), enlarger.orElseThrow().id(), Name.FILTERS, FilterConstants.of(table), asked),
                asked.keep(),
                table.entries().size() == 1
                        ? String.format(
                                Locale.ROOT,
                                "%s prints R %.0f on this paper.",
                                capital(reference.written()),
                                table.of(reference).orElseThrow().isoRange())
                        : table.entries().size() + " lights on this paper, times against " + reference.written() + ".",
                why,
                places);
    }

    private Optional<FilterTable> before(String paperId, String enlargerId) {
        return constants.of(List.of(paperId)).stream()
                .filter(c -> c.name().equals(Name.FILTERS.name()) && c.lensId().equals(enlargerId))
                .map(c -> FilterConstants.table(c.value()))
                .findFirst();
    }

    /** What putting a filter in costs, told apart from what it costs from grade to grade. */
    private static Optional<String> filterIn(FilterTable table) {
        if (table.reference() != GradeFilter.NONE) {
            return Optional.empty();
        }
        return table.of(GradeFilter.G2)
                .or(() -> table.of(GradeFilter.G2_5))
                .map(e -> String.format(
                        Locale.ROOT,
                        "Putting a filter in takes %.2f stop; what a grade takes beside another is a figure of its own.",
                        e.whitesLog() / STOP));
    }

    /** Graded paper prints alike through all of them. */
    private static void refuseFilters(FieldErrors errors, Paper paper, Lights found, String pointer) {
        if (paper.hasOneGrade() && found.lights().keySet().stream().anyMatch(f -> f != GradeFilter.NONE)) {
            errors.add(pointer, "E_INFEASIBLE", "Graded paper has one contrast: print it with no filter.");
        }
    }

    private Lights marks(FieldErrors errors, FiltersAsked asked) {
        double uncertainty = asked.uncertaintyStops() == null
                ? FilterReadings.USUAL_UNCERTAINTY.inStops()
                : asked.uncertaintyStops();
        Map<GradeFilter, FilterReadings.Light> lights = new EnumMap<>(GradeFilter.class);
        List<FilterMarks> all = asked.marks() == null ? List.of() : asked.marks();
        for (int i = 0; i < all.size(); i++) {
            FilterMarks m = all.get(i);
            errors.check("/marks/" + i, null, () -> {
                if (m == null) {
                    throw Check.infeasible("marks", "a filter is missing");
                }
                return only(
                        lights,
                        light(m.light()),
                        FilterReadings.byEye(time(m.whitesSeconds()), time(m.blacksSeconds()), Stops.of(uncertainty)));
            });
        }
        return new Lights(
                lights,
                "Strips with an empty carrier, by eye: R is the way from white to the first true black (CON-25); each mark ± "
                        + Show.stopsApart(Stops.of(uncertainty)) + ".");
    }

    private Lights steps(FieldErrors errors, Paper paper, FiltersAsked asked) {
        FilterReadings.Curve curve = paper.hasOneGrade() ? FilterReadings.Curve.GRADED : FilterReadings.Curve.VARIABLE;
        double step = asked.stepDensity() == null ? USUAL_STEP : asked.stepDensity();
        List<StepPrint> prints = new ArrayList<>();
        int number = 0;
        for (String line : TypedLines.of(asked.lines())) {
            int at = ++number;
            errors.check("/lines", null, () -> prints.add(stepPrint(line, at)));
        }
        Map<GradeFilter, FilterReadings.Light> lights = new EnumMap<>(GradeFilter.class);
        if (errors.isEmpty() && !prints.isEmpty()) {
            FilterReadings.Ends ends = errors.check(
                    "/lines",
                    null,
                    () -> FilterReadings.Ends.of(
                            prints.stream().map(StepPrint::densities).toList()));
            errors.throwIfAny();
            prints.forEach(p -> errors.check("/lines", null, () -> only(lights, p.light(), p.read(step, ends, curve))));
        }
        return new Lights(
                lights,
                "Prints of a step negative of " + Show.number(step)
                        + " D a step, the paper's curve laid through their densities (CON-25).");
    }

    /** One line: a light, seconds, and the densities from the clearest step on. */
    private record StepPrint(GradeFilter light, ExposureTime time, List<Double> densities) {
        /** What is wrong with one of several lines names its light. */
        FilterReadings.Light read(double step, FilterReadings.Ends ends, FilterReadings.Curve curve) {
            try {
                return FilterReadings.bySteps(time, step, densities, ends, curve);
            } catch (QuantityException e) {
                throw new QuantityException(e.kind(), e.parameter(), capital(light.written()) + ": " + e.getMessage());
            }
        }
    }

    private static StepPrint stepPrint(String line, int at) {
        List<String> cells = TypedLines.cells(line);
        if (cells.size() < 3) {
            throw Check.infeasible("lines", "line " + at + " needs a light, seconds and densities");
        }
        return new StepPrint(
                light(cells.get(0)),
                time(TypedLines.number(cells.get(1), at)),
                cells.subList(2, cells.size()).stream()
                        .map(c -> TypedLines.number(c, at))
                        .toList());
    }

    /** Of two readings of one light neither may hide the other. */
    private static <T> T only(Map<GradeFilter, T> all, GradeFilter light, T read) {
        if (all.putIfAbsent(light, read) != null) {
            throw Check.infeasible("light", light.written() + " stands twice");
        }
        return read;
    }

    private static GradeFilter light(@Nullable String written) {
        return Light.of(written == null ? "" : written).toFilter();
    }

    private static ExposureTime time(@Nullable Double seconds) {
        return ExposureTime.ofSeconds(Check.positive("time", seconds == null ? Double.NaN : seconds, "s"));
    }

    CalibrationView head(String enlargerId, HeadTableAsked asked) {
        Enlarger enlarger = stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        if (!enlarger.dials()) {
            throw new ConflictException("no-dials", "This head has no dials; change that at the enlarger first.");
        }
        FieldErrors errors = new FieldErrors();
        HeadTable head = errors.check("/way", null, () -> table(asked));
        errors.throwIfAny();
        if (head.settings().size() < 2) {
            throw RefusedException.of(
                    "/lines", "E_SHAPE", "Two grades at least, a line each: grade, yellow, magenta, factor.");
        }
        List<String> why = new ArrayList<>();
        why.add(
                head.way() == HeadTable.Way.OWN
                        ? "Your own table; ranges follow from the points by a generic dichroic set (CON-24)."
                        : "By a generic dichroic set (CON-24): dials are not points, and no two heads agree. Print a step negative through some grades, and this head's own figures count.");
        why.add("It reaches grade " + head.softest().map(GradeFilter::label).orElse("") + " to "
                + head.hardest().map(GradeFilter::label).orElse("") + ".");
        head.settings().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> why.add(says(e.getKey(), e.getValue())));
        return keeping.kept(
                new Found(enlarger.id(), "", Name.HEAD_TABLE, Constant.ENTERED, FilterConstants.of(head), asked),
                asked.keep(),
                "Grades " + head.softest().map(GradeFilter::label).orElse("") + " to "
                        + head.hardest().map(GradeFilter::label).orElse("") + " by the dials of this head.",
                why,
                List.of());
    }

    private static String says(GradeFilter filter, ColourHead.Setting s) {
        return String.format(
                Locale.ROOT,
                "Grade %s: yellow %.0f, magenta %.0f, time × %.2f.",
                filter.label(),
                s.yellow(),
                s.magenta(),
                s.timeFactor());
    }

    private static HeadTable table(HeadTableAsked asked) {
        String word = asked.way() == null ? "" : asked.way();
        HeadTable.Way way = Arrays.stream(HeadTable.Way.values())
                .filter(w -> w.name().equals(word))
                .findFirst()
                .orElseThrow(() -> Check.outOfRange("way", "there are SINGLE, PAIRED, CONSTANT_TIME and OWN"));
        if (way != HeadTable.Way.OWN) {
            return HeadTable.generic(new VariableContrastPaper(), way);
        }
        Map<GradeFilter, ColourHead.Setting> settings = new EnumMap<>(GradeFilter.class);
        int number = 0;
        for (String line : TypedLines.of(asked.lines())) {
            number++;
            List<String> cells = TypedLines.cells(line);
            if (number == 1
                    && cells.get(0).toLowerCase(Locale.ROOT).startsWith("grade")
                    && cells.size() > 1
                    && !cells.get(1).matches("[\\d.,]+")) {
                continue;
            }
            if (cells.size() < 4) {
                throw Check.infeasible("lines", "line " + number + " needs grade, yellow, magenta and factor");
            }
            only(
                    settings,
                    light(cells.get(0)),
                    new ColourHead.Setting(
                            TypedLines.number(cells.get(1), number),
                            TypedLines.number(cells.get(2), number),
                            TypedLines.number(cells.get(3), number)));
        }
        return new HeadTable(way, settings);
    }

    CalibrationView batch(String paperId, BatchAsked asked) {
        Paper paper = stores.paper(paperId).orElseThrow(NotFoundException.of("paper"));
        FieldErrors errors = new FieldErrors();
        Optional<Paper> other = asked.otherId() == null ? Optional.empty() : stores.paper(asked.otherId());
        if (other.isEmpty()
                || other.get().id().equals(paper.id())
                || !other.get().kind().equals(paper.kind())) {
            errors.add("/otherId", "E_SHAPE", "Choose another box of the same kind.");
        }
        List<BatchReadings.Pair> pairs = new ArrayList<>();
        List<BatchPair> given = asked.pairs() == null ? List.of() : asked.pairs();
        for (int i = 0; i < given.size(); i++) {
            BatchPair p = given.get(i);
            errors.check(
                    "/pairs/" + i,
                    null,
                    () -> pairs.add(new BatchReadings.Pair(
                            time(p == null ? null : p.otherSeconds()), time(p == null ? null : p.seconds()))));
        }
        errors.throwIfAny();
        Measured more = errors.check("/pairs", null, () -> BatchReadings.more(pairs, FilterReadings.USUAL_UNCERTAINTY));
        errors.throwIfAny();
        return keeping.kept(
                Found.measured(
                        paper.id(),
                        other.orElseThrow().id(),
                        Name.BATCH_SPEED,
                        StoredConstant.number(more.figure(), more.limit()),
                        asked),
                asked.keep(),
                String.format(
                                Locale.ROOT,
                                "It needs %+.2f stop beside %s, ± %.2f.",
                                more.figure(),
                                box(other.orElseThrow()),
                                more.limit())
                        .replace('-', '−'),
                List.of("From " + (pairs.size() == 1 ? "one pair" : pairs.size() + " pairs")
                        + " of one grey (CAL-09). Prints that were kept on the other box are made again with it."),
                List.of());
    }

    private static String box(Paper paper) {
        return paper.batch().isBlank() ? paper.name() : paper.name() + ", " + paper.batch();
    }

    private Paper mono(String paperId) {
        Paper paper = stores.paper(paperId).orElseThrow(NotFoundException.of("paper"));
        if (!Monochrome.ID.equals(paper.kind())) {
            throw new ConflictException("wrong-paper", "Filters of grades are for variable-contrast paper.");
        }
        return paper;
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
