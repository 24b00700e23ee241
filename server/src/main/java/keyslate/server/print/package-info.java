/** The run: script, lamp, and the simulated enlarger and paper behind their ports. */
package keyslate.server.print;
