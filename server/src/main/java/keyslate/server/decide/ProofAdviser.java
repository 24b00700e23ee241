package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.PatchPick;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.rig.LightView;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Seen;

/**
 * A proof on any paper: the standard is the shortest time at which the film edge cannot be told from the paper's black. The light
 * stays as it is, so that the proofs of different rolls compare.
 */
final class ProofAdviser implements Adviser {
    private static final int LONGEST_LIST = 2;

    private final Adviser ofPaper;

    ProofAdviser(Adviser ofPaper) {
        this.ofPaper = ofPaper;
    }

    @Override
    public String mediumId() {
        return ofPaper.mediumId();
    }

    @Override
    public Seen seen(Marks marks) {
        return Readings.seen(marks, null, null, marks.blacksAt());
    }

    @Override
    public Optional<CheckPlan> check(Hung strip, Marks marks) {
        return Beyond.of(strip, marks);
    }

    @Override
    public VerdictView reading(Hung strip, Marks marks) {
        return Beyond.verdict(strip, marks).orElseGet(() -> onTheStrip(strip, marks));
    }

    private static VerdictView onTheStrip(Hung strip, Marks marks) {
        List<ExposureTime> totals = Readings.totals(strip);
        FieldErrors errors = new FieldErrors();
        if (marks.blacksAt() == null) {
            errors.add("/marks/blacksAt", "E_SHAPE", "Mark the first patch whose film edge is full black.");
        }
        Optional<PatchPick> mark = Readings.mark(errors, "/marks/blacksAt", marks.blacksAt(), totals);
        errors.throwIfAny();
        PatchPick pick = mark.orElseThrow();
        ExposureTime black = pick.timeOn(totals);
        ExposureTime carried = strip.carried(black);
        List<String> rests = new ArrayList<>();
        rests.add("First full black of the film edge at " + Show.seconds(black.inSeconds()) + ", your mark.");
        if (Math.abs(carried.stopsFrom(black).inStops()) > 0.01) {
            rests.add("Carried to the distance and opening that stand now: " + Show.seconds(carried.inSeconds())
                    + ", approximate.");
        }
        boolean lightest = pick.index() == 0 && pick.weight() == 0;
        return new VerdictView(
                "Standard proof: " + Show.seconds(carried.inSeconds()) + " at "
                        + strip.before().light().notation() + ".",
                lightest
                        ? "The lightest patch is black already: the time may be shorter still. A strip about half of it tells."
                        : "A shorter time leaves the film edge grey, a longer one darkens every frame for nothing.",
                rests,
                LightView.of(strip.before().light()),
                carried.inSeconds(),
                carried.inSeconds(),
                spread(pick, totals).inStops(),
                null);
    }

    /** The standard lies between the patch before the mark and the mark itself. */
    private static Stops spread(PatchPick pick, List<ExposureTime> totals) {
        return totals.size() < LONGEST_LIST ? Stops.of(0) : pick.uncertaintyOn(totals);
    }

    @Override
    public VerdictView judgement(Hung print, Wishes wishes) {
        return ofPaper.judgement(print, wishes);
    }
}
