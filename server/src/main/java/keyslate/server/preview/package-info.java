/** What the next sheet should look like, also for a recipe that nobody has taken yet. */
package keyslate.server.preview;
