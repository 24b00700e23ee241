/** Figures that ./slate bench prints. */
package keyslate.server.benchmark;
