/** Judging a print and the next recipe. */
package keyslate.server.judge;
