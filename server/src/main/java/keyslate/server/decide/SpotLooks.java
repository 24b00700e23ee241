package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.CardSpot;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.NeutralSpot;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Corners.Place;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.ColourLook;
import keyslate.server.decide.DecisionViews.Spot;
import keyslate.server.scan.AskedFields;
import keyslate.server.scan.NeutralReader;
import keyslate.server.scan.NeutralReader.Measured;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.SeenCast;
import org.springframework.stereotype.Component;

/** Spots measured in a picture of a sheet: some grey that is to be neutral, or a grey card that was photographed, which tells the density too. */
@Component
final class SpotLooks {
    /** What a picture that something spoils leaves open. */
    private static final double DOUBTFUL_POINTS = 2;

    private final NeutralReader reader;

    SpotLooks(NeutralReader reader) {
        this.reader = reader;
    }

    /**
     * What was measured.
     *
     * @param casts one look, or of pieces one at each
     * @param more light that the print needs by the card; none where the spot is some grey
     */
    record InPicture(List<SeenCast> casts, Optional<Stops> more) {
        static final InPicture NONE = new InPicture(List.of(), Optional.empty());
    }

    InPicture at(FieldErrors errors, String look, ColourLook asked, Hung sheet, LookedIn in) {
        String at = look + "/spot";
        Spot spot = asked.spot();
        if (spot == null || spot.x() == null || spot.y() == null) {
            errors.add(at, "E_SHAPE", "Tap a spot in the picture that is to be neutral.");
            return InPicture.NONE;
        }
        boolean card = Boolean.TRUE.equals(spot.card());
        if (card && sheet.view().patches().size() > 1) {
            errors.add(at + "/card", "E_SHAPE", "A test has several densities: the card tells the density on a print.");
            return InPicture.NONE;
        }
        if (card && !in.dry()) {
            errors.add(at + "/card", "E_SHAPE", "A wet print dries darker: the card tells the density once it is dry.");
            return InPicture.NONE;
        }
        int scan = spot.scan() == null ? sheet.sheet().exposed().scans().size() : spot.scan();
        Optional<Place> white = AskedFields.place(errors, at + "/white", spot.white());
        return errors.check(at, InPicture.NONE, () -> {
            Place place =
                    new Place(Check.within("place", spot.x(), 0, 1, ""), Check.within("place", spot.y(), 0, 1, ""));
            List<Measured> measured = reader.read(sheet.sheet(), scan, place, white);
            return card
                    ? card(measured.get(0), in)
                    : new InPicture(measured.stream().map(m -> some(m, in)).toList(), Optional.empty());
        });
    }

    private static SeenCast some(Measured m, LookedIn in) {
        NeutralSpot spot = NeutralSpot.of(m.look(), FilterSet.DICHROIC);
        CastLook look = CastLook.of(m.light().toPack(), spot.magenta(), spot.yellow(), CastWay.PICTURE);
        String words = (m.piece() > 0 ? "piece " + m.piece() + " measured " : "measured ")
                + points(spot.magenta(), spot.yellow())
                + (in.dry() ? "" : ", wet");
        return seen(m, look, words, in);
    }

    private static InPicture card(Measured m, LookedIn in) {
        CardSpot card = CardSpot.of(m.look(), FilterSet.DICHROIC);
        String words = "the card measured " + told(card, m.look().lightness()) + Show.stops(card.more());
        SeenCast seen = seen(m, card.look(m.light().toPack()), words, in);
        return new InPicture(List.of(seen), Optional.of(card.more()));
    }

    private static String told(CardSpot card, double lightness) {
        if (!card.blind()) {
            return points(card.magenta(), card.yellow()) + ", ";
        }
        return CardSpot.tellsColour(lightness)
                ? "of a colour that no print has, which tells no pack, "
                : (card.more().inStops() > 0 ? "nearly white" : "nearly black") + ", which tells no colour, at least ";
    }

    private static SeenCast seen(Measured m, CastLook look, String words, LookedIn in) {
        double open = m.doubtful() ? Math.hypot(look.openPoints(), DOUBTFUL_POINTS) : look.openPoints();
        return SeenCast.of(in.counting(look.open(open)), words).at(m.light().toPack());
    }

    private static String points(double magenta, double yellow) {
        return AskedCast.points(magenta, "magenta", "green") + ", " + AskedCast.points(yellow, "yellow", "blue");
    }
}
