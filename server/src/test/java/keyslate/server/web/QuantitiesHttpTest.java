package keyslate.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.Test;

/** Quantities are read from requests by their types; all that cannot be read is said at once, each at its own place. */
class QuantitiesHttpTest extends ApplicationTest {
    @Test
    void everyFieldThatIsNoneIsSaidAtOnce() {
        Answer refused = asked(
                "size-change",
                "{\"seconds\": -1, \"fromMagnification\": \"big\", \"toMagnification\": null, \"fromFNumber\": 0, \"toFNumber\": 8}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.pointers())
                .containsExactlyInAnyOrder("/seconds", "/fromMagnification", "/toMagnification", "/fromFNumber");
        assertThat(refused.json().get("errors").findValuesAsString("code"))
                .containsExactlyInAnyOrder("E_NONPOS", "E_TYPE", "E_SHAPE", "E_NONPOS");
    }

    @Test
    void anEntryOfAListIsNamedByItsPlace() {
        assertThat(asked("strip-pick", "{\"totalsSeconds\": [5, 0, \"x\", null, 20], \"place\": 1}")
                        .pointers())
                .containsExactlyInAnyOrder("/totalsSeconds/1", "/totalsSeconds/2", "/totalsSeconds/3");
        assertThat(asked(
                                "time-evidence",
                                "{\"readings\": [{\"seconds\": 5, \"uncertaintyStops\": 0.1}, {\"seconds\": -5}]}")
                        .pointers())
                .containsExactlyInAnyOrder("/readings/1/seconds", "/readings/1/uncertaintyStops");
    }

    @Test
    void whatIsWrongInAnotherWayIsSaidBesideIt() {
        Answer refused = asked(
                "pack-time",
                "{\"seconds\": 0, \"from\": {\"cyan\": 0, \"magenta\": 900, \"yellow\": 0}, \"to\": {\"cyan\": \"a\"}}");
        assertThat(refused.pointers()).containsExactlyInAnyOrder("/seconds", "/from", "/to/cyan");
    }

    @Test
    void aFilterIsReadByItsNameAndHowItWasUnderstoodIsNoted() {
        Answer read =
                asked("next-recipe", "{\"filter\": \"2.5\", \"seconds\": 10, \"darkerStops\": 1, \"harderGrades\": 0}");
        assertThat(read.json().get("understood").get("filter").asString()).isEqualTo("2½");
        assertThat(read.json().get("understood").get("seconds").asDouble()).isEqualTo(10);
        assertThat(read.json().get("notes").get(0).asString()).isEqualTo("“2.5” is understood as “2½”.");
        assertThat(asked("next-recipe", "{\"filter\": 2, \"seconds\": 10, \"darkerStops\": 1, \"harderGrades\": 0}")
                        .pointers())
                .containsExactly("/filter");
    }

    private Answer asked(String calculation, String body) {
        return http().send("POST", "/api/calculations/" + calculation, body);
    }
}
