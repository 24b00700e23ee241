package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.server.rig.Grades;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;

/** The times that strips through one filter asked for, all readings of the slate weighed together. */
public final class StripTimes {
    private StripTimes() {}

    /** What was marked on strips through a filter; nothing of a tone that never was. */
    public static SplitByStrips.Marks through(GradeFilter filter, Rig now, List<OnCord> cord) {
        List<Mark> marks = Evidence.ofSlate(now, cord);
        return new SplitByStrips.Marks(
                filter, time(Tone.WHITES, filter, marks, now), time(Tone.BLACKS, filter, marks, now));
    }

    /** How far the whites of the soft filter and the black of the hard one may still be off; none where one of them was never marked. */
    public static Optional<Stops> open(GradeFilter soft, GradeFilter hard, Rig now, List<OnCord> cord) {
        List<Mark> marks = Evidence.ofSlate(now, cord);
        Optional<Stops> whites = estimate(Tone.WHITES, soft, marks, now).map(SlateEvidence.Estimate::toSettle);
        Optional<Stops> blacks = estimate(Tone.BLACKS, hard, marks, now).map(SlateEvidence.Estimate::toSettle);
        return whites.flatMap(w -> blacks.map(b -> w.compareTo(b) > 0 ? w : b));
    }

    private static Optional<ExposureTime> time(Tone tone, GradeFilter filter, List<Mark> marks, Rig now) {
        return estimate(tone, filter, marks, now).map(SlateEvidence.Estimate::time);
    }

    private static Optional<SlateEvidence.Estimate> estimate(Tone tone, GradeFilter filter, List<Mark> marks, Rig now) {
        Light light = Light.filter(filter);
        boolean marked =
                marks.stream().anyMatch(m -> m.tone() == tone && m.light().equals(light));
        return marked
                ? SlateEvidence.of(marks, Grades.lights(now), Grades.lag(now), light)
                        .time(tone, light)
                : Optional.empty();
    }
}
