/** Copies of the data file: asked for, by themselves, and by command; and putting one back. */
package keyslate.server.backup;
