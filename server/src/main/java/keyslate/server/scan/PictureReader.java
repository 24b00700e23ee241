package keyslate.server.scan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import keyslate.core.picture.PictureOfTest;
import keyslate.core.picture.PictureOfTest.Fault;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.server.Show;
import keyslate.server.scan.ScanViews.FactView;
import keyslate.server.scan.ScanViews.LineView;
import keyslate.server.scan.ScanViews.PictureView;
import keyslate.server.scan.ScanViews.ToneReadView;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Pictured;
import org.springframework.stereotype.Component;

/** Measures the picture of a test and says with which time a tone gets the density that is wanted. */
@Component
public class PictureReader {
    private static final Map<Fault, String> WORDS = new EnumMap<>(Map.of(
            Fault.BLURRED, "The picture is blurred against its patches: take it again with a steady hand.",
            Fault.GLARE, "Something shines on the paper, brighter than its white: turn it away from the lamp.",
            Fault.CLIPPED, "The white of the paper has no tone left: give the picture less light.",
            Fault.TOO_DARK, "The picture is too dark to tell a light tone: give it more light.",
            Fault.WRONG_WAY, "The patches get darker the other way: turn the paper twice.",
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
        if (sheet.patches().get().differInLight() || sheet.patches().get().isOfBothLights()) {
            throw new ConflictException(
                    "several-lights",
                    "Pieces of different lights, and sheets of both parts of a split, are compared by eye: no one curve tells their time.");
        }
        FieldErrors errors = new FieldErrors();
        int scan = AskedFields.scan(errors, asked, sheet.exposed().scans().size());
        List<Pictured.Tone> tones = AskedFields.tones(errors, asked);
        Known tapped = AskedFields.known(errors, asked);
        Optional<List<Corners>> given = AskedFields.corners(errors, asked.papers());
        errors.throwIfAny();
        Layout layout = Layout.of(sheet);
        PapersSeen seen = PapersSeen.in(pictures, sheet, scan, Optional.of(layout));
        PictureOfTest picture = measured(seen, layout, given, tapped);
        ToneReader reader = new ToneReader(sheet, layout, picture);
        List<ToneReadView> read =
                tones.stream().map(tone -> reader.read(errors, tone)).toList();
        errors.throwIfAny();
        return view(scan, layout, picture, read);
    }

    /** As the corners were given, else as the papers are found, turned so that the patches get darker the right way. */
    private static PictureOfTest measured(PapersSeen seen, Layout layout, Optional<List<Corners>> given, Known tapped) {
        if (given.isPresent()) {
            return seen.lying(given.get()).measured(layout.planned(), tapped);
        }
        PictureOfTest picture = seen.measured(layout.planned(), tapped);
        if (!picture.faults().contains(Fault.WRONG_WAY)) {
            return picture;
        }
        List<Corners> other =
                picture.papers().stream().map(c -> c.turned().turned()).toList();
        PictureOfTest turned = seen.lying(other).measured(layout.planned(), tapped);
        return turned.faults().contains(Fault.WRONG_WAY) ? picture : turned;
    }

    /** What is said of a fault. */
    static String words(Fault fault) {
        return WORDS.get(fault);
    }

    private static PictureView view(int scan, Layout layout, PictureOfTest picture, List<ToneReadView> tones) {
        List<String> problems = Stream.concat(
                        layout.missing(picture.papers().size()).stream(),
                        picture.faults().stream()
                                .sorted(Comparator.naturalOrder())
                                .map(WORDS::get))
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
                    case SCANNER -> "what the scanner is set to";
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
                picture.faults().contains(Fault.WRONG_WAY),
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
