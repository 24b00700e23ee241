/** Film in its sleeve: formats, strips, what a densitometer says of a negative; may use quantity, numeric and contrast. */
package keyslate.core.film;
