package keyslate.server.attack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A short piece of each part of the attack, always the same one. How long an answer took is for the command: here a busy machine would tell. */
class AttackIT {
    private static final double MINUTES = 0.15;
    private static final String TIMED = "hangs";

    @ParameterizedTest
    @CsvSource({"kills, kills", "requests, requests", "files, files", "races, races", "disk, diskFaults", "load, load"})
    void nothingIsLostAndNothingSticks(String part, String figure) throws Exception {
        Figures found = Attack.measure(new Attack.Asked(MINUTES, 1, Optional.of(part), true));
        assertThat(found.faults().stream().filter(words -> !words.startsWith(TIMED)))
                .isEmpty();
        assertThat(Attack.MUST_BE_NONE.stream().filter(name -> !TIMED.equals(name)))
                .allSatisfy(name -> assertThat(found.counted(name)).as(name).isZero());
        assertThat(found.counted(figure)).as("so that the rest means something").isPositive();
    }
}
