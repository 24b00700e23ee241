/** The kinds of paper: what a kind decides for everything else; may use every package but trial. */
package keyslate.core.medium;
