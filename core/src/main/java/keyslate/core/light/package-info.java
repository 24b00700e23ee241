/** What stands in the beam of an enlarger; may use quantity and contrast. */
package keyslate.core.light;
