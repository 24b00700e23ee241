/** A slate: its view, its edits, undo, preview and next step. */
package keyslate.server.slate;
