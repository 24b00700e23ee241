/** A slate: its view section by section, its edits, undo and next step. */
package keyslate.server.slate;
