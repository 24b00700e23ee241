package keyslate.server.need;

import java.time.Clock;
import java.util.Optional;
import keyslate.core.colour.Hue;
import keyslate.core.film.FrameNeed;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterShift;
import keyslate.server.Clocks;
import keyslate.server.Show;
import keyslate.server.need.NeedViews.NeedAsked;
import keyslate.server.need.NeedViews.NeedByScan;
import keyslate.server.negative.RollService;
import keyslate.server.negative.RollViews.NeedView;
import keyslate.server.web.FieldErrors;
import keyslate.store.Database;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Need;
import keyslate.store.negative.RollRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What frames need beside others. */
@Service
class NeedService {
    private static final double LEAST_CAST = 1;
    private static final double MOST_CAST = 60;
    private static final double MOST_SHIFT = 200;
    private static final double SAME_STOPS = 1.0 / 24;
    private static final double SAME_CONTRAST = 0.08;

    private final Database database;
    private final RollRepository rolls;
    private final RollService frames;
    private final ProofScans scans;
    private final Clock clock;

    NeedService(Database database, RollRepository rolls, RollService frames, ProofScans scans, Clock clock) {
        this.database = database;
        this.rolls = rolls;
        this.frames = frames;
        this.scans = scans;
        this.clock = clock;
    }

    NeedByScan byScan(String id, String againstId) {
        Frame frame = frames.frame(id);
        Frame against = frames.frame(againstId);
        FrameNeed found = scans.need(frame, against);
        Need need = need(frame, against, found, null, null, Need.SCAN);
        boolean inColour = frames.isColour(frame);
        String more = Math.abs(found.more().inStops()) < SAME_STOPS
                ? "It needs the light of frame " + against.number() + "."
                : "It needs " + Show.stops(found.more()) + " of light beside frame " + against.number() + ".";
        String contrast = Math.abs(found.contrast() - 1) < SAME_CONTRAST
                ? "Its tones spread as far."
                : "Its tones spread " + Show.factor(found.contrast()) + " times as far: "
                        + (found.contrast() > 1 ? "harder." : "flatter.");
        return new NeedByScan(
                RollService.view(need, against),
                inColour ? more + " " + pack(found.cast()) : more + " " + contrast,
                "From the proof's scan, by the tones between net 0.04 and 1.40 (" + (inColour ? "FLM-08" : "FLM-06")
                        + "); ± " + Show.stopsApart(found.limit()) + "."
                        + (inColour ? " The colours of the two subjects are taken to be alike on the whole." : ""));
    }

    private static String pack(FilterShift cast) {
        String change = Show.points(FilterShift.of(0, Math.rint(cast.inMagenta()), Math.rint(cast.inYellow())));
        return change.isEmpty() ? "Its pack is the same." : "In its pack " + change + ".";
    }

    NeedView keep(String id, NeedAsked asked) {
        Frame frame = frames.frame(id);
        FieldErrors errors = new FieldErrors();
        Optional<Frame> against = asked.againstId() == null ? Optional.empty() : rolls.frame(asked.againstId());
        if (against.isEmpty() || against.get().id().equals(id)) {
            errors.add("/againstId", "E_SHAPE", "Pick another frame to compare it with.");
        }
        Hue cast = cast(errors, asked.castHue());
        Double points = cast == null ? null : points(errors, asked.castPoints());
        FilterShift pack = cast == null ? pack(errors, asked) : FilterShift.NONE;
        boolean byScan = Boolean.TRUE.equals(asked.byScan());
        FrameNeed byEye = byScan ? null : byEye(errors, asked, pack);
        errors.throwIfAny();
        FrameNeed found = byEye == null ? scans.need(frame, against.get()) : byEye;
        Need need = need(frame, against.get(), found, cast, points, byScan ? Need.SCAN : Need.EYE);
        database.inTransaction(() -> rolls.put(need));
        return RollService.view(need, against.get());
    }

    void forget(String id) {
        Frame frame = frames.frame(id);
        database.inTransaction(() -> rolls.deleteNeed(frame.id()));
    }

    private Need need(
            Frame frame, Frame against, FrameNeed found, @Nullable Hue cast, @Nullable Double points, String source) {
        boolean tells = !found.cast().equals(FilterShift.NONE);
        return new Need(
                frame.id(),
                against.id(),
                found.more().inStops(),
                found.limit().inStops(),
                cast == null ? null : cast.name(),
                points,
                tells ? found.cast().inMagenta() : null,
                tells ? found.cast().inYellow() : null,
                found.contrast(),
                source,
                Clocks.now(clock));
    }

    private static FrameNeed byEye(FieldErrors errors, NeedAsked asked, FilterShift pack) {
        double first = look(errors, "/moreStops", asked.moreStops());
        double contrast = errors.check(
                "/contrast",
                1.0,
                () -> Check.within(
                        "contrast",
                        asked.contrast() == null ? 1 : asked.contrast(),
                        FrameNeed.LEAST_CONTRAST,
                        FrameNeed.MOST_CONTRAST,
                        ""));
        FrameNeed seen = asked.secondLookStops() == null
                ? FrameNeed.byEye(contrast, first)
                : FrameNeed.byEye(contrast, first, look(errors, "/secondLookStops", asked.secondLookStops()));
        return new FrameNeed(seen.more(), seen.limit(), contrast, pack);
    }

    private static double look(FieldErrors errors, String pointer, @Nullable Double stops) {
        return errors.check(
                pointer,
                0.0,
                () -> Check.within(
                        "need", stops == null ? 0 : stops, -FrameNeed.MOST_STOPS, FrameNeed.MOST_STOPS, "stops"));
    }

    private static @Nullable Hue cast(FieldErrors errors, @Nullable String letter) {
        return letter == null ? null : errors.check("/castHue", Hue.M, () -> Hue.of(letter));
    }

    private static FilterShift pack(FieldErrors errors, NeedAsked asked) {
        return FilterShift.of(
                0,
                shift(errors, "/packMagenta", "magenta", asked.packMagenta()),
                shift(errors, "/packYellow", "yellow", asked.packYellow()));
    }

    private static double shift(FieldErrors errors, String pointer, String name, @Nullable Double points) {
        return errors.check(
                pointer, 0.0, () -> Check.within(name, points == null ? 0 : points, -MOST_SHIFT, MOST_SHIFT, "points"));
    }

    private static double points(FieldErrors errors, @Nullable Double points) {
        return errors.check(
                "/castPoints",
                LEAST_CAST,
                () -> Check.within("cast", points == null ? Double.NaN : points, LEAST_CAST, MOST_CAST, "points"));
    }
}
