package keyslate.server.calibration;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.GelPack.Gel;
import keyslate.core.colour.Layers;
import keyslate.core.colour.PackTimes;
import keyslate.core.colour.PackTimes.Following;
import keyslate.core.colour.PackTimesFit;
import keyslate.core.colour.PackTimesFit.Pair;
import keyslate.core.colour.Primary;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.HeadAsked.GelsAsked;
import keyslate.server.calibration.HeadAsked.LightsAsked;
import keyslate.server.calibration.HeadAsked.PackTimesAsked;
import keyslate.server.calibration.Keeping.Found;
import keyslate.server.rig.Constants.Name;
import keyslate.server.rig.PackConstants;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.StoredConstant;
import org.springframework.stereotype.Service;

/** What is said and read of a head for colour. */
@Service
class HeadCalibrationService {
    /** What its owner says of a head is good to so much, 95 %. */
    private static final Layers BY_WORD = new Layers(0.05, 0.05, 0.05);

    private static final Shares UNKNOWN_LIGHTS = new Shares(
            AdditiveHead.USUAL,
            0,
            Constant.ENTERED,
            "A quarter each until a match tells: as long as a recipe stays on this head, nothing hangs on it.");

    private static final Layers BY_DEFAULT =
            new Layers(PackTimes.USUAL_LIMIT, PackTimes.USUAL_LIMIT, PackTimes.USUAL_LIMIT);

    private final StoresRepository stores;
    private final ConstantRepository constants;
    private final Keeping keeping;

    HeadCalibrationService(StoresRepository stores, ConstantRepository constants, Keeping keeping) {
        this.stores = stores;
        this.constants = constants;
        this.keeping = keeping;
    }

    /** What the factors are, and from what. */
    private record Told(PackTimes times, Layers limits, String source, String why) {
        Told following(Following other) {
            return new Told(times.following(other), limits, source, why);
        }
    }

    CalibrationView packTimes(String enlargerId, PackTimesAsked asked) {
        Enlarger enlarger = stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        FieldErrors errors = new FieldErrors();
        Following follows =
                asked.follows() == null ? Following.ON : asked.follows().toCore();
        Told told = errors.check("/lines", standing(enlarger), () -> told(enlarger, TypedLines.of(asked.lines())))
                .following(follows);
        errors.throwIfAny();
        List<String> why = new ArrayList<>();
        why.add(told.why());
        why.add(
                switch (follows) {
                    case ON ->
                        "Times follow every move of the pack, so that density does not hide the colour (COL-35).";
                    case SMALL -> "Times follow every move of the pack by half (COL-35); density is judged again.";
                    case OFF -> "Times stay when the pack moves; density may move, and by how much is said each time.";
                });
        if (!told.times().addUp()) {
            why.add(unequal(told.times()));
        }
        return keeping.kept(
                new Found(
                        enlarger.id(),
                        "",
                        Name.PACK_TIMES,
                        told.source(),
                        PackConstants.of(told.times(), told.limits()),
                        asked),
                asked.keep(),
                headline(told.times()),
                why,
                List.of());
    }

    CalibrationView gels(String enlargerId, GelsAsked asked) {
        Enlarger enlarger = stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        FieldErrors errors = new FieldErrors();
        List<String> lines = TypedLines.of(asked.lines());
        List<Gel> set = lines.isEmpty() ? GelPack.usualSet() : errors.check("/lines", List.of(), () -> gels(lines));
        errors.throwIfAny();
        StoredConstant value = PackConstants.ofGels(set);
        errors.check("/lines", List.of(), () -> PackConstants.gels(value));
        errors.throwIfAny();
        return keeping.kept(
                new Found(enlarger.id(), "", Name.GELS, Constant.ENTERED, value, asked),
                asked.keep(),
                "Packs are made of " + set.size() + (set.size() == 1 ? " gel." : " gels."),
                List.of(
                        "The fewest that come as near as any make a pack (COL-33); what they make is what is advised.",
                        "Each costs 0.12 stop by its two surfaces, and time follows that too (COL-04). Clean ones, above the negative, lie flat."),
                List.of());
    }

    /** The shares of three lights; how far off they may be, of themselves, 95 %, by how several matches scatter, and 0 where nothing tells. */
    private record Shares(AdditiveHead lights, double limit, String source, String why) {}

    CalibrationView lights(String enlargerId, LightsAsked asked) {
        Enlarger enlarger = stores.enlarger(enlargerId).orElseThrow(NotFoundException.of("enlarger"));
        FieldErrors errors = new FieldErrors();
        Shares shares = errors.check("/lines", UNKNOWN_LIGHTS, () -> shares(TypedLines.of(asked.lines())));
        errors.throwIfAny();
        AdditiveHead lights = shares.lights();
        return keeping.kept(
                new Found(
                        enlarger.id(),
                        "",
                        Name.LIGHTS,
                        shares.source(),
                        PackConstants.ofLights(lights, shares.limit()),
                        asked),
                asked.keep(),
                String.format(
                        Locale.ROOT,
                        "Red light gives its layer %.3f of what white light does, green %.3f, blue %.3f.",
                        lights.red(),
                        lights.green(),
                        lights.blue()),
                List.of(
                        shares.why(),
                        "A print is three exposures, red, green and blue, and the lag of the lamp counts in each. The pack is what the three print as (COL-34)."),
                List.of());
    }

    private static Shares shares(List<String> lines) {
        if (lines.isEmpty()) {
            return UNKNOWN_LIGHTS;
        }
        if (lines.size() == 1 && !lines.get(0).contains("=")) {
            return new Shares(lights(three(lines.get(0), 1)), 0, Constant.ENTERED, "Your own shares.");
        }
        List<AdditiveHead> matches = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            matches.add(match(lines.get(i), i + 1));
        }
        AdditiveHead.Found found = AdditiveHead.together(matches);
        return new Shares(
                found.head(),
                found.limit(),
                Constant.MEASURED,
                "From " + (lines.size() == 1 ? "one match" : lines.size() + " matches")
                        + " of white light through a pack with the three lights on one grey.");
    }

    private static AdditiveHead lights(List<Double> shares) {
        return new AdditiveHead(shares.get(0), shares.get(1), shares.get(2)).asKept();
    }

    private static List<Double> three(String words, int number) {
        List<String> cells = words.contains(",") || words.contains(";")
                ? TypedLines.cells(words)
                : List.of(words.strip().split("\\s+"));
        if (cells.size() != Primary.values().length) {
            throw Check.infeasible(
                    "lines", "line " + number + " needs three figures, of red, green and blue light: 0.25, 0.25, 0.25");
        }
        return cells.stream().map(c -> TypedLines.number(c, number)).toList();
    }

    private static AdditiveHead match(String line, int number) {
        String[] sides = line.split("=");
        if (sides.length != 2) {
            throw Check.infeasible(
                    "lines",
                    "line " + number
                            + " needs a pack with its time, and the seconds of three lights: 0/48/58 14 = 56 16.4 14.5");
        }
        Side white = side(sides[0], number);
        List<ExposureTime> seconds = three(sides[1], number).stream()
                .map(s -> ExposureTime.ofSeconds(Check.positive("time", s, "s")))
                .toList();
        try {
            return AdditiveHead.matching(
                    white.pack(),
                    white.time(),
                    FilterSet.DICHROIC,
                    new AdditiveHead.Times(seconds.get(0), seconds.get(1), seconds.get(2)));
        } catch (QuantityException e) {
            throw Check.infeasible(
                    "lines", "line " + number + " says that a coloured light prints faster than white light does");
        }
    }

    private static List<Gel> gels(List<String> lines) {
        List<Gel> gels = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            int number = i + 1;
            String[] words = lines.get(i).split("[\\s,;]+");
            GelPack.Colour colour = Arrays.stream(GelPack.Colour.values())
                    .filter(c -> c.name().startsWith(words[0].toUpperCase(Locale.ROOT)))
                    .findFirst()
                    .orElseThrow(() -> Check.infeasible(
                            "lines",
                            "line " + number + " begins with the colour: C, M or Y, then its gels: M 5 10 20 40"));
            for (String points : List.of(words).subList(1, words.length)) {
                gels.add(new Gel(colour, TypedLines.number(points, number)));
            }
        }
        return gels;
    }

    private static String headline(PackTimes times) {
        return String.format(
                Locale.ROOT,
                "10 points cost %.2f stop of cyan, %.2f of magenta, %.2f of yellow.",
                stops(times.cyan()),
                stops(times.magenta()),
                stops(times.yellow()));
    }

    /** Of ten points. */
    private static double stops(double factor) {
        return 0.1 * factor / Math.log10(2);
    }

    private static String unequal(PackTimes times) {
        return String.format(
                Locale.ROOT,
                "These add up to %.2f, and grey in the pack counts 1: by these factors 10 points of grey are %.2f stop, by their density 0.33.",
                times.sum(),
                stops(times.sum()));
    }

    private Told told(Enlarger enlarger, List<String> lines) {
        if (lines.isEmpty()) {
            return standing(enlarger);
        }
        if (lines.size() == 1 && !lines.get(0).contains("=") && !lines.get(0).contains("/")) {
            List<String> cells = TypedLines.cells(lines.get(0));
            if (cells.size() != 3) {
                throw Check.infeasible("lines", "factors are three, of cyan, magenta and yellow: 0.30, 0.60, 0.10");
            }
            return new Told(
                    new PackTimes(
                            TypedLines.number(cells.get(0), 1),
                            TypedLines.number(cells.get(1), 1),
                            TypedLines.number(cells.get(2), 1),
                            Following.ON),
                    BY_WORD,
                    Constant.ENTERED,
                    "Your own factors.");
        }
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            pairs.add(pair(lines.get(i), i + 1));
        }
        PackTimesFit.Found found = PackTimesFit.of(pairs, Following.ON);
        String limits = String.format(
                Locale.ROOT,
                "± %.2f, %.2f, %.2f",
                found.limits().red(),
                found.limits().green(),
                found.limits().blue());
        return new Told(
                found.times(),
                found.limits(),
                Constant.MEASURED,
                "From " + (pairs.size() == 1 ? "one pair" : pairs.size() + " pairs")
                        + " of sheets as dark as each other, the usual factors as what is known before (COL-36): "
                        + limits + ".");
    }

    /** What counts already. */
    private Told standing(Enlarger enlarger) {
        Optional<Constant> stands = constants.of(List.of(enlarger.id())).stream()
                .filter(c -> c.name().equals(Name.PACK_TIMES.name()))
                .findFirst();
        return stands.map(c -> new Told(
                        PackConstants.times(c.value()),
                        PackConstants.limits(c.value()),
                        c.source(),
                        "The factors that stand."))
                .orElse(new Told(
                        PackTimes.USUAL,
                        BY_DEFAULT,
                        Constant.ENTERED,
                        "The usual factors: no two heads agree, and pairs of sheets tell this one's."));
    }

    private static Pair pair(String line, int number) {
        String[] sides = line.split("=");
        if (sides.length != 2) {
            throw Check.infeasible(
                    "lines", "line " + number + " needs two packs with their times: 0/48/58 14 = 0/78/58 21");
        }
        Side one = side(sides[0], number);
        Side other = side(sides[1], number);
        return new Pair(one.pack(), one.time(), other.pack(), other.time());
    }

    private record Side(FilterPack pack, ExposureTime time) {}

    private static Side side(String words, int number) {
        String[] parts = words.strip().split("[\\s;]+");
        if (parts.length < 2) {
            throw Check.infeasible(
                    "lines", "line " + number + " needs two packs with their times: 0/48/58 14 = 0/78/58 21");
        }
        return new Side(
                Light.of(parts[0]).toPack(),
                ExposureTime.ofSeconds(Check.positive("time", TypedLines.number(parts[1], number), "s")));
    }
}
