/** Verdicts and decisions: reading a strip, judging colour, judging a print, accepting it. */
package keyslate.server.decide;
