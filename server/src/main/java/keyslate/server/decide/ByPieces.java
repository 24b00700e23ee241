package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.BaseExposure;
import keyslate.core.test.GuessPlan;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.SecondView;
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
        if (pick.weight() == 0 && low.patch().isOfSeveralLights()) {
            return Optional.of(ofBothParts(sheet, low));
        }
        BaseExposure.Part one = asOne(sheet, low);
        BaseExposure.Part other = asOne(sheet, high);
        Light light = sheet.before().medium().core().between(one.light(), other.light(), pick.weight());
        double log = (1 - pick.weight()) * Math.log(one.time().inSeconds())
                + pick.weight() * Math.log(other.time().inSeconds());
        ExposureTime time = sheet.carried(ExposureTime.ofSeconds(Math.exp(log)));
        boolean worth = low.patch().isOfSeveralLights() || high.patch().isOfSeveralLights();
        String which = pick.weight() == 0
                ? "Piece " + low.patch().number() + " is right"
                : "It lies between piece " + low.patch().number() + " and "
                        + high.patch().number();
        return Optional.of(new VerdictView(
                "Set " + light.notation() + ", " + Show.seconds(time.inSeconds()) + ".",
                which
                        + ", you said. Each got the time that keeps the print as dark; as one sheet alone it is judged to ± "
                        + Show.stopsApart(GuessPlan.JUDGED_TO) + "."
                        + (worth ? " Both parts together are taken as the filter they are worth (CON-08)." : ""),
                List.of(said(low), pick.weight() == 0 ? "As it was made." : said(high)),
                LightView.of(light),
                time.inSeconds(),
                sheet.carried(sheet.before().base()).inSeconds(),
                GuessPlan.JUDGED_TO.inStops(),
                null));
    }

    /** What a piece got, as one light. */
    private static BaseExposure.Part asOne(Hung sheet, OnPaper piece) {
        return sheet.before()
                .medium()
                .core()
                .asOne(new BaseExposure(
                        piece.patch().parts().stream()
                                .filter(r -> r.seconds() > 0)
                                .map(r -> new BaseExposure.Part(r.light(), ExposureTime.ofSeconds(r.seconds())))
                                .toList(),
                        1));
    }

    /** The half that got both parts of a base is right: they stay as they were. */
    private static VerdictView ofBothParts(Hung sheet, OnPaper piece) {
        List<BaseExposure.Part> parts = piece.patch().parts().stream()
                .map(r -> new BaseExposure.Part(r.light(), sheet.carried(ExposureTime.ofSeconds(r.seconds()))))
                .toList();
        BaseExposure.Part first = parts.get(0);
        BaseExposure.Part second = parts.get(1);
        return new VerdictView(
                "Keep both parts: " + said(first) + ", then " + said(second) + ".",
                "Piece " + piece.patch().number() + " is right, you said.",
                List.of(said(piece)),
                LightView.of(first.light()),
                first.time().inSeconds(),
                first.time().inSeconds(),
                GuessPlan.JUDGED_TO.inStops(),
                null,
                null,
                false,
                new SecondView(LightView.of(second.light()), second.time().inSeconds()));
    }

    private static String said(BaseExposure.Part part) {
        return Show.seconds(part.time().inSeconds()) + " through "
                + part.light().notation();
    }

    private static String said(OnPaper piece) {
        return "Piece " + piece.patch().number() + ": "
                + piece.patch().parts().stream()
                        .map(r -> r.light().notation() + ", " + Show.seconds(r.seconds()))
                        .collect(Collectors.joining(", then "))
                + ", on record.";
    }
}
