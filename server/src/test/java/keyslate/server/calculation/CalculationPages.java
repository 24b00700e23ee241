package keyslate.server.calculation;

import tools.jackson.databind.JsonNode;

/** The examples of the documentation, for the description of the API. */
public final class CalculationPages {
    private CalculationPages() {}

    /** Takes one example. */
    public interface Taker {
        void take(String path, String request, JsonNode answer);
    }

    public static void each(Taker taker) {
        CalculationExamples.list().forEach(e -> taker.take(e.path(), e.request(), e.answer()));
    }
}
