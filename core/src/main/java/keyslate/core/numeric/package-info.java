/** Interpolation, root finding and tolerance; knows no photography and depends on nothing else of ours. */
package keyslate.core.numeric;
