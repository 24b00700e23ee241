/** Contrast of a monochrome print: tones as threads over the paper's curve, one filter, two filters, dials. */
package keyslate.server.contrast;
