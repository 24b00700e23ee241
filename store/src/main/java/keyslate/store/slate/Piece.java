package keyslate.store.slate;

import keyslate.core.script.Part;

/** A piece of a sheet, from 1, with the part of the frame that is on it. */
public record Piece(int number, Part view) {}
