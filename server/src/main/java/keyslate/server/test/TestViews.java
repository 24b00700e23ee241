package keyslate.server.test;

import java.util.List;
import keyslate.server.rig.LightView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.SectorView;
import keyslate.server.sheet.SheetViews.StepView;
import keyslate.store.json.StoredTest;
import org.jspecify.annotations.Nullable;

/** What the page sees of a test that is planned. */
public final class TestViews {
    private TestViews() {}

    /**
     * The next test, computed; a problem says why it cannot be made as it stands.
     *
     * @param name of its kind, as its sheets are called
     * @param kinds that there are, in their order
     * @param pieces what of the printed picture falls on each of its pieces
     * @param area what the first piece takes of the picture
     * @param aspect width over height of all its pieces as they are laid
     * @param lengthMm along a strip; long side of a piece
     * @param headline what it is; {@code why} what the hands do and what it costs
     * @param cannotShow what it cannot show
     * @param besideLights lights worth seeing beside the standing one, in the paper's notation
     * @param wideStripOffered while the base exposure is no more than a default
     * @param benchStrip the strip that earlier first strips of this bench speak for, in words; left out where it stands or is not known
     */
    public record TestView(
            StoredTest plan,
            String name,
            List<KindView> kinds,
            List<PlannedPatchView> patches,
            List<StepView> script,
            List<RectView> pieces,
            RectView area,
            double aspect,
            double lengthMm,
            double breadthMm,
            double totalSetSeconds,
            double paperShare,
            double centreSeconds,
            String headline,
            String why,
            String cannotShow,
            List<String> notes,
            List<String> besideLights,
            boolean wideStripOffered,
            @Nullable String benchStrip,
            @Nullable String problem) {}

    /** A kind of test: its id, the key that takes it up, what its sheets are called, and what it is called among the kinds. */
    public record KindView(String id, String key, String name, String label) {}

    /**
     * One patch.
     *
     * @param totalSeconds what it receives, as if all of it came through the standing opening
     * @param setSeconds what the timer is set to for it
     * @param firstSetSeconds what it is set to before, through the first of two lights on the same patches; left out as a rule
     * @param presses how often
     * @param stopsFromCentre of the series; of another light from the time that keeps the print as dark
     * @param place where it falls in the picture of the whole test; of a sector the disc
     * @param piece it lies on, from 1
     * @param row it lies in, from 1
     * @param name what it is called besides its number; empty where nothing but the time differs
     * @param turns what its pack does to the print beside the one that stands, such as "greener"; empty where that is nothing
     * @param mark how its piece is told from the others, in words
     * @param sector of a wedge; none as a rule
     * @param tones that lie in it, by their names
     */
    public record PlannedPatchView(
            int number,
            double totalSeconds,
            double setSeconds,
            @Nullable Double firstSetSeconds,
            int presses,
            double stopsFromCentre,
            double roundingErrorStops,
            boolean tooShort,
            RectView place,
            int piece,
            int row,
            String name,
            String turns,
            String mark,
            @Nullable SectorView sector,
            LightView light,
            List<String> tones) {}
}
