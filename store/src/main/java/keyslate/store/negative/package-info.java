/** Rolls, frames and their pictures. */
package keyslate.store.negative;
