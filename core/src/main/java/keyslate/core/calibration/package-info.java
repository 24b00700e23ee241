/** What an enlarger, a lens and a paper really are, from readings of a meter and a clock: each figure with its 95 % limit. */
package keyslate.core.calibration;
