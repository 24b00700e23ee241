/** From a strip or a print in the light to a choice, and from its scan to a calibration; may use quantity, exposure, curve and contrast. */
package keyslate.core.reading;
