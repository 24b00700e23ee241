package keyslate.core.script;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;

/**
 * One exposure of a sheet: the lamp goes on once, or so many times for the same setting, and what its light does stands
 * in it.
 *
 * @param place from 1, in the order of the script
 * @param piece the piece of paper it falls on, from 1
 * @param light what stands in the beam
 * @param opening the engraved opening of the lens
 * @param set what the timer is set to
 * @param presses how many times, 1 to 99; more than once only on a timer the printer presses
 * @param phases what happens in it, in order; their seconds add up to {@code set}
 * @param cues what the hands do before it
 */
public record ExposureStep(
        int place,
        int piece,
        Light light,
        double opening,
        ExposureTime set,
        int presses,
        List<Phase> phases,
        List<Cue> cues) {
    private static final int MOST_PRESSES = 99;
    private static final double SAME_SECONDS = 1e-6;

    public ExposureStep {
        Check.count("place", place, 1, 9999);
        Check.count("piece", piece, 1, 99);
        Check.positive("opening", opening, "");
        Check.count("presses", presses, 1, MOST_PRESSES);
        phases = List.copyOf(phases);
        cues = List.copyOf(cues);
        if (presses > 1 && phases.size() > 1) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "phases", "what is pressed several times has one phase");
        }
        double sum = phases.stream().mapToDouble(Phase::seconds).sum();
        if (phases.isEmpty() || Math.abs(sum - set.inSeconds()) > SAME_SECONDS) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE,
                    "phases",
                    "the phases of an exposure must add up to its time: " + Check.shown(sum) + " s, not "
                            + Check.shown(set.inSeconds()) + " s");
        }
    }

    /** The same step with a cue before all others. */
    public ExposureStep after(Cue first) {
        List<Cue> with = new ArrayList<>(List.of(first));
        with.addAll(cues);
        return with(with);
    }

    /** The same step with other cues. */
    public ExposureStep with(List<Cue> others) {
        return new ExposureStep(place, piece, light, opening, set, presses, phases, others);
    }

    /** Light of one phase, in seconds of full light. */
    public record Given(Phase phase, double receivedSeconds) {
        /** The same through another opening. */
        public Given times(double factor) {
            return new Given(phase, receivedSeconds * factor);
        }
    }

    /** All the seconds the lamp is on for it. */
    public double totalSetSeconds() {
        return set.inSeconds() * presses;
    }

    /** What a place gets that is reached all through it. */
    public double receivedSeconds(LampLag lag) {
        return lag.receivedSeconds(set) * presses;
    }

    /**
     * Where so much light fell: phase by phase, cut off where it ended. The lag of the lamp is dead time of the first
     * phase (EXP-09).
     *
     * @param receivedSeconds seconds of full light that the step gave in all, 0 or more
     */
    public List<Given> given(double receivedSeconds, LampLag lag) {
        if (phases.size() == 1) {
            boolean none = receivedSeconds <= 0 || phases.get(0).reachesNothing();
            return none ? List.of() : List.of(new Given(phases.get(0), receivedSeconds));
        }
        List<Given> given = new ArrayList<>();
        double left = receivedSeconds;
        double dead = lag.inSeconds();
        for (Phase phase : phases) {
            double whole = Math.max(0, phase.seconds() - dead);
            dead = Math.max(0, dead - phase.seconds());
            double here = Math.min(whole, left);
            left -= here;
            if (here > 0 && !phase.reachesNothing()) {
                given.add(new Given(phase, here));
            }
        }
        return given;
    }

    /** The light of the step as it was planned. */
    public List<Given> planned(LampLag lag) {
        return given(receivedSeconds(lag), lag);
    }

    /** The one area that is burned, if this is a burn. */
    public Optional<String> burned() {
        return phases.stream().flatMap(p -> p.burned().stream()).findFirst();
    }

    /** Keys of all areas that are held back at some time in it. */
    public List<String> held() {
        return phases.stream().flatMap(p -> p.held().stream()).distinct().toList();
    }

    /** Whether a card covers part of the piece at some time in it. */
    public boolean isCovered() {
        return phases.stream().anyMatch(p -> p.uncovered().isPresent() && !p.reachesNothing());
    }
}
