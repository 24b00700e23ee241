package keyslate.store.slate;

import java.util.List;
import keyslate.store.json.ToldMark;

/**
 * What the tests of a slate told of its filters and its lamp.
 *
 * @param paperName of the paper they were made on, whatever its box
 * @param lagSeconds that the times were reckoned with
 * @param guessStops by which the middle of its first strip missed; null where no strip told
 */
public record SlateMarks(
        String slateId,
        String paperName,
        String enlargerId,
        double lagSeconds,
        List<ToldMark> marks,
        Double guessStops,
        String toldAt) {}
