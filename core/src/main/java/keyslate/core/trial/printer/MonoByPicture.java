package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.LampLag;
import keyslate.core.picture.PictureOfTest;
import keyslate.core.picture.PictureOfTest.Density;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.picture.TakenPicture;
import keyslate.core.picture.ToneTime;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.reading.Corners;
import keyslate.core.rescale.Links;
import keyslate.core.trial.printer.TestTable.Given;

/** One same-spot strip, its picture, and the time that the picture gives through the same filter. */
public final class MonoByPicture {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final double GUESS_SECONDS = 10;
    private static final int PATCHES = 15;
    private static final double HIGHLIGHT_AT = 0.25;
    private static final double SPOT = 0.01;

    private MonoByPicture() {}

    /** The print after the one piece. */
    public static List<MonoByTests.Print> follow(PictureTable table) {
        LampLag lag = LampLag.ofSeconds(Links.LAG.figure());
        List<Given> given = new ArrayList<>();
        for (int k = 0; k < PATCHES; k++) {
            double received = GUESS_SECONDS * Math.pow(2, (k - (PATCHES - 1) / 2.0) / 3);
            given.add(new Given(Printers.tenth(received + lag.inSeconds()), 1, 0, 1));
        }
        TakenPicture taken = table.picture(GradeFilter.G2, given);
        List<Corners> found = taken.papers();
        List<Double> lines =
                IntStream.range(1, PATCHES).mapToObj(i -> i / (double) PATCHES).toList();
        PictureOfTest picture = taken.measured(
                List.of(found.isEmpty() ? Corners.whole() : found.get(0)),
                new Planned(lines, true, true, true),
                Known.NOTHING);
        List<ToneTime.Seen> seen = new ArrayList<>();
        for (int k = 0; k < PATCHES; k++) {
            Density d = picture.density(0, (k + 0.5) / PATCHES, HIGHLIGHT_AT, SPOT, 2 * SPOT);
            double received =
                    lag.receivedSeconds(ExposureTime.ofSeconds(given.get(k).setSeconds()));
            seen.add(new ToneTime.Seen(ExposureTime.ofSeconds(received), d.net(), d.spread()));
        }
        ToneTime time = ToneTime.of(
                log -> PAPER.netDensityAtGrade(GradeFilter.G2.grade(), log), seen, VariableContrastPaper.HIGHLIGHT_NET);
        double set = Printers.tenth(time.time().inSeconds() + lag.inSeconds());
        return List.of(new MonoByTests.Print(GradeFilter.G2, set, 1, 0, Optional.empty()));
    }
}
