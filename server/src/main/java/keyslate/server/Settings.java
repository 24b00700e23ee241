package keyslate.server;

import java.util.Map;

/** What a darkroom is opened with. */
public final class Settings {
    private Settings() {}

    /** Settings as the arguments that outrank every file. */
    public static String[] asArguments(Map<String, String> settings) {
        return settings.entrySet().stream()
                .map(e -> "--" + e.getKey() + "=" + e.getValue())
                .toArray(String[]::new);
    }
}
