package keyslate.store.slate;

import java.util.List;
import keyslate.store.json.ToldMark;

/**
 * What the tests of a slate told of its filters and its lamp.
 *
 * @param paperName of the paper they were made on, whatever its box
 * @param lagSeconds that the times were reckoned with
 */
public record SlateMarks(
        String slateId, String paperName, String enlargerId, double lagSeconds, List<ToldMark> marks, String toldAt) {}
