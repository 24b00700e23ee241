package keyslate.server.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.QuantityException;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Links;
import keyslate.store.json.Stood.StoodConstant;
import keyslate.store.json.StoredConstant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is known of things, and what a file may say of them. */
class ConstantsTest {
    private static StoodConstant constant(String name, StoredConstant value) {
        return new StoodConstant("thing", "", name, "MEASURED", "2026-01-01T00:00:00.000Z", value);
    }

    private static Constants with(String name, StoredConstant value) {
        return new Constants(List.of(constant(name, value)));
    }

    @ParameterizedTest
    @CsvSource({"LAG, 3", "LAG, -1", "PUPIL, 9", "DRY_DOWN, 30", "SAFE_MINUTES, -1"})
    void aFigureThatNoThingHasIsRefused(String name, double figure) {
        assertThatThrownBy(() -> with(name, StoredConstant.number(figure, 0.1)).checked())
                .isInstanceOf(QuantityException.class);
    }

    @ParameterizedTest
    @CsvSource({"LAG", "PUPIL", "OPENINGS", "EVENNESS", "COLUMN", "DRY_DOWN"})
    void oneThatIsNotCompleteIsRefused(String name) {
        StoredConstant nothing = new StoredConstant(null, null, null, null, null);
        assertThatThrownBy(() -> with(name, nothing).checked()).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> with(name, null).checked()).isInstanceOf(QuantityException.class);
    }

    @Test
    void whatWasMeasuredCountsAndTheRestIsDefault() {
        StoredConstant.Place eight = new StoredConstant.Place("8", 0.05, 0.01);
        Constants known = with("OPENINGS", new StoredConstant(null, null, null, List.of(eight), null));
        assertThatCode(known::checked).doesNotThrowAnyException();
        Known measured = known.opening("thing", ApertureMark.ofEngraved(8, 2));
        assertThat(measured.figure()).isEqualTo(0.05);
        assertThat(measured.source()).isEqualTo(Known.Source.MEASURED);
        assertThat(known.opening("thing", ApertureMark.ofEngraved(11, 2))).isEqualTo(Links.OPENING);
        assertThat(known.opening("other", ApertureMark.ofEngraved(8, 2))).isEqualTo(Links.OPENING);
        assertThat(known.inversePupil("thing")).isEqualTo(Links.PUPIL);
        StoredConstant scale =
                new StoredConstant(null, null, null, null, new StoredConstant.Scale(80, -200, 1, 0.01, 0, 2));
        assertThat(with("COLUMN", scale)
                        .checked()
                        .scale("thing", "")
                        .orElseThrow()
                        .begins())
                .isEqualTo(-200);
    }
}
