/** Edits of the standing recipe, section by section. */
package keyslate.server.recipe;
