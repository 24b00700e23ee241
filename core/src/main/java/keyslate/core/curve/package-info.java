/** Characteristic curves of film and paper, their speed and range; may use quantity and numeric. */
package keyslate.core.curve;
