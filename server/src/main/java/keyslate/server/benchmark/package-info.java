/** Figures that ./slate bench and ./slate trial print. */
package keyslate.server.benchmark;
