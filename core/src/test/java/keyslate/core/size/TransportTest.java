package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.size.Transport.Lead;
import keyslate.core.size.Transport.Load;
import org.junit.jupiter.api.Test;

class TransportTest {
    private static Optional<Load> load(Transport machine, double a, double b) {
        return machine.load(Length.ofMm(a), Length.ofMm(b));
    }

    private static Transport machine(Integer most, Lead lead) {
        return new Transport(Length.ofMm(305), Length.ofMm(240), Optional.ofNullable(most), Optional.ofNullable(lead));
    }

    @Test
    void aWholeSheetGoesInAsTheMachineTakesIt() {
        assertThat(load(machine(null, Lead.LONG), 305, 240)).contains(new Load(Lead.LONG, 1));
        assertThat(load(machine(null, Lead.SHORT), 240, 305)).contains(new Load(Lead.SHORT, 1));
        assertThat(load(machine(null, null), 240, 305)).contains(new Load(Lead.SHORT, 1));
    }

    @Test
    void ofBothWaysTheOneThatHoldsMore() {
        // Inlet 240, depth 305: 100 of 150 × 100 go in twice beside each other and twice behind.
        assertThat(load(machine(null, Lead.SHORT), 150, 100)).contains(new Load(Lead.SHORT, 4));
        // Strips of 60: four beside each other.
        assertThat(load(machine(null, Lead.SHORT), 60, 240)).contains(new Load(Lead.LONG, 5));
    }

    @Test
    void noMoreThanItHolds() {
        assertThat(load(machine(2, Lead.SHORT), 150, 100)).contains(new Load(Lead.SHORT, 2));
    }

    @Test
    void whatIsTooLargeDoesNotFit() {
        assertThat(load(machine(null, null), 310, 100)).isEmpty();
        assertThat(load(machine(null, null), 250, 250)).isEmpty();
        assertThat(load(machine(null, null), 305.4, 240.4)).isPresent();
    }

    @Test
    void refusesWhatIsNoMachine() {
        assertThatThrownBy(() -> machine(0, null)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new Transport(Length.ofMm(0), Length.ofMm(1), Optional.empty(), Optional.empty()))
                .isInstanceOf(QuantityException.class);
    }
}
