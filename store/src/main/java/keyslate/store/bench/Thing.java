package keyslate.store.bench;

import keyslate.store.json.StoredFacts;

/**
 * What stands in the darkroom besides enlargers, lenses, paper and baths.
 *
 * @param kind EASEL, CARRIER, FILTER_SET, VIEWING_KIT, DRUM, MACHINE, VIEWING_LIGHT or SAFELIGHT
 * @param retiredAt null while it is in use
 */
public record Thing(String id, String kind, String name, StoredFacts facts, String addedAt, String retiredAt) {}
