package keyslate.store.json;

import java.util.List;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Reads and writes the JSON columns. */
public final class Json {
    private static final JsonMapper MAPPER = JsonMapper.shared();
    private static final TypeReference<List<StoredPhase>> PHASES = new TypeReference<>() {};
    private static final TypeReference<List<String>> WORDS = new TypeReference<>() {};
    private static final TypeReference<List<Double>> NUMBERS = new TypeReference<>() {};

    private static final TypeReference<List<StoredTone>> TONES = new TypeReference<>() {};

    private static final TypeReference<List<StoredMark>> MARKS = new TypeReference<>() {};

    private Json() {}

    /** What a record of this package, or a list of them, is written as. */
    public static String write(Object value) {
        return MAPPER.writeValueAsString(value);
    }

    public static <T> T read(String json, Class<T> type) {
        return MAPPER.readValue(json, type);
    }

    public static List<StoredPhase> phases(String json) {
        return MAPPER.readValue(json, PHASES);
    }

    public static List<StoredTone> tones(String json) {
        return MAPPER.readValue(json, TONES);
    }

    public static List<StoredMark> marks(String json) {
        return MAPPER.readValue(json, MARKS);
    }

    public static List<String> words(String json) {
        return MAPPER.readValue(json, WORDS);
    }

    public static List<Double> numbers(String json) {
        return MAPPER.readValue(json, NUMBERS);
    }
}
