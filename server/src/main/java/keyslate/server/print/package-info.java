/** The run: script, lamps, and the enlargers and papers behind their ports. */
package keyslate.server.print;
