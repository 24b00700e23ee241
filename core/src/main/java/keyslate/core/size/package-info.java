/** Magnification, head height, crop, borders and rescaling an exposure; may use quantity, numeric and exposure. */
package keyslate.core.size;
