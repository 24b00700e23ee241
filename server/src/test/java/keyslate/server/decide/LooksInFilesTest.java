package keyslate.server.decide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import keyslate.server.decide.DecisionViews.Beside;
import keyslate.server.decide.DecisionViews.CastWay;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a look at a cast may be can also stand in the file of a slate. */
class LooksInFilesTest {
    private static JsonNode definitions() throws IOException {
        try (InputStream schema = LooksInFilesTest.class.getResourceAsStream("/schema/slate-2.schema.json")) {
            return JsonMapper.shared().readTree(Objects.requireNonNull(schema)).get("$defs");
        }
    }

    private static List<String> words(JsonNode list) {
        return list.valueStream().map(JsonNode::asString).toList();
    }

    private static List<String> names(Enum<?>[] all) {
        return Arrays.stream(all).map(Enum::name).toList();
    }

    @Test
    void everyWayAndWhateverLiesBesideIsKnown() throws IOException {
        JsonNode cast = definitions().get("cast").get("properties");
        assertThat(words(cast.get("way").get("enum"))).containsExactlyInAnyOrderElementsOf(names(CastWay.values()));
        assertThat(words(cast.get("against").get("enum"))).containsExactlyInAnyOrderElementsOf(names(Beside.values()));
        JsonNode decided = definitions().get("seen").get("properties").get("way");
        assertThat(words(decided.get("anyOf").get(0).get("enum")))
                .containsExactlyInAnyOrderElementsOf(names(CastWay.values()));
    }
}
