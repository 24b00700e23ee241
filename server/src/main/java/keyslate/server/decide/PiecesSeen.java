package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.PiecePick;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.ColourLook;
import keyslate.server.sheet.Patches;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.SeenCast;

/** The pieces of a sheet as they lie side by side, each of another pack; two more may be lighter and darker. */
final class PiecesSeen {
    /** A timer in tenths is no density. */
    private static final double SAME_STOPS = 1.0 / 30;

    private final Hung sheet;
    private final List<OnPaper> pieces;

    PiecesSeen(Hung sheet) {
        this.sheet = sheet;
        pieces = sheet.sheet()
                .patches()
                .filter(Patches::differInLight)
                .filter(p -> p.rows().size() == 1)
                .map(Patches::all)
                .orElse(List.of());
    }

    /**
     * The neutral one, or a place between.
     *
     * @param moreStops how much more light the picked ones got than keeps them as dark
     */
    record Picked(CastLook look, double moreStops, String words) {}

    /** What was picked; a look at nothing where it cannot be read. */
    Picked picked(FieldErrors errors, String at, ColourLook asked) {
        List<OnPaper> chosen = chosen(errors, at, asked.pieces() == null ? List.of() : asked.pieces());
        if (chosen.isEmpty()) {
            errors.add(at, "E_SHAPE", "Pick the piece whose grey is grey, or two or three between which it lies.");
        }
        List<FilterPack> packs =
                pieces.stream().map(PiecesSeen::pack).distinct().toList();
        List<Integer> places =
                chosen.stream().map(p -> packs.indexOf(pack(p))).distinct().toList();
        CastLook nothing = CastLook.of(sheet.before().light().toPack(), 0, 0, keyslate.core.colour.CastWay.PIECES);
        CastLook look = chosen.isEmpty() ? nothing : errors.check(at, nothing, () -> PiecePick.of(packs, places));
        double more = chosen.stream()
                .mapToDouble(p -> p.patch().plannedSeconds()
                        / Patches.asDark(sheet.before(), p.patch()).inSeconds())
                .map(f -> Math.log(f) / Math.log(2))
                .average()
                .orElse(0);
        return new Picked(look, Math.abs(more) < SAME_STOPS ? 0 : more, words(chosen));
    }

    private List<OnPaper> chosen(FieldErrors errors, String at, List<Integer> numbers) {
        if (pieces.isEmpty()) {
            errors.add("/cast/way", "E_INFEASIBLE", "This sheet has no pieces of different packs.");
            return List.of();
        }
        if (numbers.size() > pieces.size()) {
            errors.add(at, "E_RANGE", "There are " + pieces.size() + " pieces.");
            return List.of();
        }
        List<OnPaper> chosen = new ArrayList<>();
        for (Integer number : numbers) {
            if (number == null || number < 1 || number > pieces.size()) {
                errors.add(at, "E_RANGE", "There are " + pieces.size() + " pieces.");
            } else {
                chosen.add(pieces.get(number - 1));
            }
        }
        return chosen;
    }

    /** A look in another way: on a sheet of pieces at one of them, else as it is. */
    SeenCast at(FieldErrors errors, String at, ColourLook asked, SeenCast seen) {
        List<Integer> said = asked.pieces() == null ? List.of() : asked.pieces();
        if (pieces.isEmpty() && said.isEmpty()) {
            return seen;
        }
        List<OnPaper> chosen = chosen(errors, at + "/pieces", said);
        if (chosen.size() != 1) {
            errors.add(at + "/pieces", "E_SHAPE", "Say at which one piece you looked.");
            return seen;
        }
        return seen.at(pack(chosen.get(0)));
    }

    private static FilterPack pack(OnPaper piece) {
        Light light = piece.patch().step().light();
        if (light.points().isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "piece", "this piece got no pack");
        }
        return light.toPack();
    }

    private static String words(List<OnPaper> chosen) {
        List<String> numbers =
                chosen.stream().map(p -> Integer.toString(p.patch().number())).toList();
        return chosen.size() == 1
                ? "piece " + numbers.get(0) + " neutral"
                : "neutral between pieces " + Show.listed(numbers);
    }
}
