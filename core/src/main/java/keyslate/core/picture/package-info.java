/** Reading a picture of sheets of paper, from a scanner or a phone: where the paper lies, what its white is there, and the densities on it. */
package keyslate.core.picture;
