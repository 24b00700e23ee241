package keyslate.server.print;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import keyslate.core.process.WhiteLight;
import keyslate.core.process.WhiteLight.Move;
import keyslate.core.process.WhiteLight.Moved;
import keyslate.server.Show;
import keyslate.server.print.RunViews.WhiteLightView;
import keyslate.server.rig.Rig;
import keyslate.store.bench.Bath;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.SheetEvent;
import org.springframework.stereotype.Component;

/** Whether white light may come on, by where the paper of a sheet is. */
@Component
class PaperGuard {
    private final StoresRepository stores;
    private final Lamps lamps;
    private final Clock clock;

    PaperGuard(StoresRepository stores, Lamps lamps, Clock clock) {
        this.stores = stores;
        this.lamps = lamps;
        this.clock = clock;
    }

    /** The state of a sheet's paper; {@code label} is what it is called. */
    WhiteLightView of(ExposedSheet sheet, Rig rig, String label) {
        if (!sheet.sheet().isExposing()) {
            return new WhiteLightView(true, 0, "White light is safe.");
        }
        double speed = lamps.clockSpeed(rig.enlarger().id());
        double least = fixer(rig).orElse(WhiteLight.USUAL_FIXER_SECONDS);
        WhiteLight light = WhiteLight.of(
                sheet.standing().stream().flatMap(e -> move(e).stream()).toList(),
                least,
                seconds(clock.instant()),
                speed);
        if (light.safe()) {
            return new WhiteLightView(true, 0, "White light is safe.");
        }
        String where = switch (light.where()) {
            case IN_THE_DEVELOPER -> "is in the developer";
            case IN_THE_STOP -> "is in the stop";
            case IN_THE_FIXER ->
                "is in the fixer for less than " + Show.seconds(least)
                        + (fixer(rig).isPresent() ? ", the least time of that bath" : ", as is usual");
            default -> "is out of its box";
        };
        return new WhiteLightView(false, light.waitSeconds() / speed, label + " " + where + ".");
    }

    /** The least time of the last bath that has one. */
    private Optional<Double> fixer(Rig rig) {
        List<Bath> baths = stores.baths();
        return baths.stream()
                .filter(b -> b.process().equals(rig.medium().id()))
                .map(Bath::leastSeconds)
                .filter(Objects::nonNull)
                .reduce((first, last) -> last);
    }

    private static double seconds(Instant moment) {
        return moment.toEpochMilli() / 1000.0;
    }

    private static Optional<Moved> move(SheetEvent event) {
        double at = seconds(Instant.parse(event.happenedAt()));
        return Optional.ofNullable(
                        switch (event.kind()) {
                            case SheetEvent.PAPER_BOXED -> Move.BOXED;
                            case SheetEvent.PAPER_TAKEN -> Move.TAKEN;
                            case SheetEvent.DRUM_CLOSED -> Move.DRUM_CLOSED;
                            case SheetEvent.IN_DEVELOPER -> Move.DEVELOPER;
                            case SheetEvent.IN_STOP -> Move.STOP;
                            case SheetEvent.IN_FIXER -> Move.FIXER;
                            case SheetEvent.LEFT -> Move.LEFT;
                            case SheetEvent.CAME_BACK -> Move.CAME_BACK;
                            default -> null;
                        })
                .map(move -> new Moved(move, at));
    }
}
