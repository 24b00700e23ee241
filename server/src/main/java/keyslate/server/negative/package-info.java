/** Rolls, frames and their pictures. */
package keyslate.server.negative;
