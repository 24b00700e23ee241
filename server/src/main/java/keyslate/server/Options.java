package keyslate.server;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What stands after a command: "--name value", or "--name" alone. */
final class Options {
    private final Map<String, String> given = new HashMap<>();

    private Options() {}

    /** What was typed cannot be done; the message says what is wrong. */
    static final class UsageException extends RuntimeException {
        private static final long serialVersionUID = 1;

        UsageException(String message) {
            super(message);
        }
    }

    /**
     * Reads options from a place on.
     *
     * @param valued those that have a value
     * @param alone those that have none
     * @throws UsageException for an option that is neither, and for a value that is missing
     */
    static Options of(String[] args, int from, List<String> valued, List<String> alone) {
        Options options = new Options();
        List<String> left = new ArrayList<>(List.of(args).subList(from, args.length));
        while (!left.isEmpty()) {
            String name = left.remove(0);
            if (alone.contains(name)) {
                options.given.put(name, "");
            } else if (!valued.contains(name)) {
                throw new UsageException("It does not know “" + name + "”. ./slate help lists what it knows.");
            } else if (left.isEmpty()) {
                throw new UsageException(name + " needs a value.");
            } else {
                options.given.put(name, left.remove(0));
            }
        }
        return options;
    }

    boolean has(String name) {
        return given.containsKey(name);
    }

    Optional<String> text(String name) {
        return Optional.ofNullable(given.get(name));
    }

    Optional<Path> path(String name) {
        return text(name).map(Path::of);
    }

    /** A whole number within bounds, or what is usual. */
    int number(String name, int low, int high, int usual) {
        String text = given.getOrDefault(name, Integer.toString(usual));
        if (!text.matches("\\d{1,6}") || Integer.parseInt(text) < low || Integer.parseInt(text) > high) {
            throw new UsageException(name + " needs a number from " + low + " to " + high + ", was “" + text + "”.");
        }
        return Integer.parseInt(text);
    }
}
