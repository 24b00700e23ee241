/** The time of a print carried over to another set-up: a chain of factors, each with what is not known of it. */
package keyslate.core.rescale;
