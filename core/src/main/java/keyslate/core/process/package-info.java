/** Solutions, capacity, temperature, shelf life and drums; may use quantity and numeric. */
package keyslate.core.process;
