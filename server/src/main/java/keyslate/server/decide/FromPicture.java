package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.scan.PictureReader;
import keyslate.server.scan.ScanViews.PictureView;
import keyslate.server.scan.ScanViews.ToneReadView;
import keyslate.server.web.RefusedException;
import keyslate.store.json.Pictured;
import org.jspecify.annotations.Nullable;

/** Marks that are measured in a picture of the test, and not set by hand. */
final class FromPicture {
    /** Three quarters of a grade. */
    private static final double MOST_OPEN_STOPS = 0.5;

    private FromPicture() {}

    /** The same marks where there is no picture; else those that the picture gives, with times and limits as measured. */
    static Marks marks(PictureReader reader, Hung strip, Marks marks) {
        if (marks.pictured() == null) {
            return marks;
        }
        PictureView read = reader.read(strip.sheet(), marks.pictured());
        if (read.wrongWay()) {
            throw RefusedException.of(
                    "/marks/pictured/papers", "E_SHAPE", "The patches lie the other way round: turn the paper first.");
        }
        List<Pictured.Tone> tones = new ArrayList<>();
        for (int i = 0; i < read.tones().size(); i++) {
            ToneReadView tone = read.tones().get(i);
            if (tone.seconds() == null) {
                throw RefusedException.of("/marks/pictured/tones", "E_SHAPE", tone.says());
            }
            tones.add(new Pictured.Tone(
                    tone.field(),
                    tone.wantedNet(),
                    marks.pictured().tones().get(i).spots(),
                    tone.seconds(),
                    tone.limitStops()));
        }
        if (tones.isEmpty()) {
            throw RefusedException.of("/marks/pictured/tones", "E_SHAPE", "Say which tone is looked for.");
        }
        Pictured pictured = new Pictured(
                read.scan(),
                read.papers(),
                marks.pictured().white(),
                marks.pictured().black(),
                marks.pictured().greyCard(),
                tones);
        return new Marks(
                at(read, "whitesAt"),
                at(read, "blacksAt"),
                at(read, "rightAt"),
                marks.dry(),
                tone(read, "moreStops")
                        .or(() -> tone(read, "whitesAt"))
                        .or(() -> tone(read, "rightAt"))
                        .map(ToneReadView::moreStops)
                        .orElse(null),
                beyond(strip, read),
                marks.whitesTone(),
                marks.rightTone(),
                marks.blacksTone(),
                marks.lamp(),
                marks.second(),
                marks.blackBeyond(),
                marks.row(),
                null,
                pictured);
    }

    private static Optional<ToneReadView> tone(PictureView read, String field) {
        return read.tones().stream().filter(t -> field.equals(t.field())).findFirst();
    }

    private static @Nullable Double at(PictureView read, String field) {
        return tone(read, field).map(ToneReadView::at).orElse(null);
    }

    /** Where the time lies off the test: by the whites, else by the middle. */
    private static @Nullable String beyond(Hung strip, PictureView read) {
        List<ExposureTime> totals = Readings.totals(strip);
        if (totals.size() < 2) {
            return null;
        }
        return tone(read, "whitesAt")
                .or(() -> tone(read, "rightAt"))
                .filter(t -> t.at() == null)
                .map(t -> t.seconds() < totals.get(0).inSeconds() ? "LIGHTER" : "DARKER")
                .orElse(null);
    }

    /** What one sheet's picture says of a tone: the time at which it would be right; none where it was not looked for. */
    static Optional<Pictured.Tone> ofOneSheet(@Nullable Pictured pictured, String field) {
        return pictured == null
                ? Optional.empty()
                : pictured.tones().stream()
                        .filter(t -> field.equals(t.field()) && t.seconds() != null && t.limitStops() != null)
                        .findFirst();
    }

    /** Whether the picture of one sheet shows the black near enough to where it is wanted: one that is blocked, or far from black, tells no grade. */
    static boolean tellsBlack(@Nullable Pictured pictured) {
        return ofOneSheet(pictured, "blacksAt")
                .filter(t -> t.limitStops() <= MOST_OPEN_STOPS)
                .isPresent();
    }

    /** The limit that was measured for a mark; none where it was set by hand. */
    static Optional<Double> limit(@Nullable Pictured pictured, String field) {
        return pictured == null
                ? Optional.empty()
                : pictured.tones().stream()
                        .filter(t -> field.equals(t.field()) && t.limitStops() != null)
                        .map(Pictured.Tone::limitStops)
                        .findFirst();
    }
}
