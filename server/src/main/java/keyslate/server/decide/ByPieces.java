package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.test.GuessPlan;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.LightView;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.RefusedException;

/** Pieces of different lights, each at the time that keeps the print as dark: one of them is right, or what lies between two. */
final class ByPieces {
    private ByPieces() {}

    /** The verdict; none where the patches do not differ in light. */
    static Optional<VerdictView> verdict(Hung sheet, Marks marks) {
        if (!sheet.sheet().patches().orElseThrow().differInLight()) {
            return Optional.empty();
        }
        if (marks.beyond() != null) {
            throw RefusedException.of("/marks/beyond", "E_SHAPE", "Of pieces of different lights say which is right.");
        }
        List<OnPaper> pieces = sheet.sheet().patches().orElseThrow().all();
        FieldErrors errors = new FieldErrors();
        if (marks.rightAt() == null) {
            errors.add("/marks/rightAt", "E_SHAPE", "Mark the piece that looks right first.");
        } else if (marks.rightAt() > pieces.size() - 1) {
            errors.add("/marks/rightAt", "E_RANGE", "There are " + pieces.size() + " pieces.");
        }
        PatchPick pick = errors.check(
                "/marks/rightAt",
                PatchPick.ofPosition(0),
                () -> PatchPick.ofPosition(marks.rightAt() == null ? 0 : marks.rightAt()));
        errors.throwIfAny();
        OnPaper low = pieces.get(pick.index());
        OnPaper high = pieces.get(Math.min(pieces.size() - 1, pick.index() + 1));
        Light light = sheet.before()
                .medium()
                .core()
                .between(low.patch().step().light(), high.patch().step().light(), pick.weight());
        double log = (1 - pick.weight()) * Math.log(low.patch().receivedSeconds())
                + pick.weight() * Math.log(high.patch().receivedSeconds());
        ExposureTime time = sheet.carried(ExposureTime.ofSeconds(Math.exp(log)));
        String which = pick.weight() == 0
                ? "Piece " + low.patch().number() + " is right"
                : "It lies between piece " + low.patch().number() + " and "
                        + high.patch().number();
        return Optional.of(new VerdictView(
                "Set " + light.notation() + ", " + Show.seconds(time.inSeconds()) + ".",
                which
                        + ", you said. Each got the time that keeps the print as dark; as one sheet alone it is judged to ± "
                        + Show.stopsApart(GuessPlan.JUDGED_TO) + ".",
                List.of(said(low), pick.weight() == 0 ? "As it was made." : said(high)),
                LightView.of(light),
                time.inSeconds(),
                sheet.carried(sheet.before().base()).inSeconds(),
                GuessPlan.JUDGED_TO.inStops(),
                null));
    }

    private static String said(OnPaper piece) {
        return "Piece " + piece.patch().number() + ": "
                + piece.patch().step().light().notation() + ", "
                + Show.seconds(piece.patch().receivedSeconds()) + ", on record.";
    }
}
