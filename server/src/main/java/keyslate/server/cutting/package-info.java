/** Cutting paper: the order of the cuts, in words for the dark, and the pieces into the box. */
package keyslate.server.cutting;
