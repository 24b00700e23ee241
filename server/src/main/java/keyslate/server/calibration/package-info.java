/** Calibrations by meter and clock: readings in, a constant with its limits out; kept, and taken back. */
package keyslate.server.calibration;
