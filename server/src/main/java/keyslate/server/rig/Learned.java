package keyslate.server.rig;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.LearnedBench;
import keyslate.core.reading.SlateEvidence.Bound;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.rescale.Known;
import keyslate.store.json.ToldMark;
import keyslate.store.slate.SlateMarks;
import keyslate.store.slate.SlateMarksRepository;
import org.springframework.stereotype.Component;

/** What the tests of all slates told of the filters and the lamp of an enlarger on a paper (CON-23); computed anew when a slate tells something new. */
@Component
public class Learned {
    /** Older ones tell nothing that these do not. */
    private static final int MOST_SLATES = 60;

    private static final int MOST_KEPT = 100;

    private final SlateMarksRepository marks;
    private final Map<Asked, Gathered> kept = new ConcurrentHashMap<>();

    /**
     * What is asked for.
     *
     * @param butSlateId a slate that does not count, "" = all do
     * @param known what was measured of the filters, or follows from a head's table
     * @param lag as times are reckoned with it
     */
    record Asked(String paperName, String enlargerId, String butSlateId, FilterTable known, Known lag) {}

    /**
     * What was told.
     *
     * @param state of what it was computed from
     * @param slates that were tested through more than one filter
     * @param any whether a slate told anything
     * @param guesses stops by which the first strips of these slates missed
     */
    public record Gathered(String state, LearnedBench.Told told, int slates, boolean any, List<Double> guesses) {}

    Learned(SlateMarksRepository marks) {
        this.marks = marks;
    }

    /** What is learned. */
    Gathered of(Asked asked) {
        Gathered before = kept.get(asked);
        String state = marks.state(asked.paperName(), asked.enlargerId());
        if (before != null && before.state().equals(state)) {
            return before;
        }
        FilterTable known = asked.known();
        Known lag = asked.lag();
        List<SlateMarks> slates = marks.of(asked.paperName(), asked.enlargerId(), MOST_SLATES).stream()
                .filter(m -> !m.slateId().equals(asked.butSlateId()))
                .toList();
        VariableContrastPaper plain = known.isEmpty() ? new VariableContrastPaper() : new VariableContrastPaper(known);
        LearnedBench.Told told = LearnedBench.of(
                slates.stream().map(s -> marks(s, lag.figure())).toList(), GradedLights.usual(plain), lag.limit());
        Gathered answer = new Gathered(
                state,
                told,
                (int) slates.stream().filter(Learned::tellsOfFilters).count(),
                !slates.isEmpty(),
                slates.stream()
                        .map(SlateMarks::guessStops)
                        .filter(Objects::nonNull)
                        .toList());
        if (kept.size() >= MOST_KEPT) {
            kept.clear();
        }
        kept.put(asked, answer);
        return answer;
    }

    private static boolean tellsOfFilters(SlateMarks slate) {
        return slate.marks().stream().map(ToldMark::light).distinct().count() > 1;
    }

    /** Marks as they would stand had the lag been known then as it is now. */
    private static List<Mark> marks(SlateMarks slate, double lagSeconds) {
        double longer = slate.lagSeconds() - lagSeconds;
        return slate.marks().stream()
                .map(m -> new Mark(
                        Tone.valueOf(m.tone()),
                        Light.of(m.light()),
                        ExposureTime.ofSeconds(m.seconds() * Math.max(0.1, 1 + m.lagShare() * longer)),
                        Stops.of(m.limitStops()),
                        m.lagShare(),
                        Bound.valueOf(m.bound())))
                .toList();
    }

    /** A mark as it is stored. */
    public static ToldMark stored(Mark mark) {
        return new ToldMark(
                mark.tone().name(),
                mark.light().notation(),
                mark.time().inSeconds(),
                mark.limit().inStops(),
                mark.lagShare(),
                mark.bound().name());
    }
}
