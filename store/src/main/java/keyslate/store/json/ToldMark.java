package keyslate.store.json;

/**
 * What one test of a slate told of a tone, as it is stored.
 *
 * @param tone WHITES, MIDDLE or BLACKS
 * @param light in the paper's notation
 * @param seconds received, above 0
 * @param limitStops how far it may be off, above 0
 * @param lagShare how many times the lag went into it, for each second
 * @param bound AT, AT_LEAST or AT_MOST
 */
public record ToldMark(String tone, String light, double seconds, double limitStops, double lagShare, String bound) {}
