package keyslate.server.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.quantity.Check;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Pictured;
import org.jspecify.annotations.Nullable;

/** What is asked of a picture, checked field by field. */
public final class AskedFields {
    private static final int MOST_SPOTS = 20;
    private static final int MOST_TONES = 3;
    private static final double DENSEST = 2;

    private AskedFields() {}

    /** Which picture, from 1; the last one when none is named. */
    static int scan(FieldErrors errors, Pictured asked, int scans) {
        int scan = asked.scan() == null ? scans : asked.scan();
        if (scan < 1 || scan > scans) {
            errors.add("/marks/pictured/scan", "E_RANGE", "This sheet has no such picture.");
        }
        return scan;
    }

    static List<Pictured.Tone> tones(FieldErrors errors, Pictured asked) {
        List<Pictured.Tone> tones = asked.tones() == null ? List.of() : asked.tones();
        if (tones.size() > MOST_TONES || tones.stream().anyMatch(t -> t == null || !isKnown(t))) {
            errors.add("/marks/pictured/tones", "E_SHAPE", "Ask for whitesAt, rightAt, blacksAt or moreStops.");
        }
        return tones;
    }

    private static boolean isKnown(Pictured.Tone tone) {
        return tone.field() != null
                && List.of("whitesAt", "rightAt", "blacksAt", "moreStops").contains(tone.field())
                && (tone.wantedNet() == null || tone.wantedNet() > 0 && tone.wantedNet() < DENSEST)
                && (tone.spots() == null || tone.spots().size() <= MOST_SPOTS);
    }

    static Known known(FieldErrors errors, Pictured asked) {
        return new Known(
                place(errors, "/marks/pictured/white", asked.white()),
                place(errors, "/marks/pictured/black", asked.black()),
                VariableContrastPaper.NET_MAXIMUM,
                place(errors, "/marks/pictured/greyCard", asked.greyCard()),
                Optional.empty());
    }

    static Optional<List<Corners>> corners(FieldErrors errors, @Nullable List<List<Double>> papers) {
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

    /** A place of a picture, two fractions of it; none where nothing was sent. */
    public static Optional<Place> place(FieldErrors errors, String pointer, @Nullable List<Double> place) {
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
}
