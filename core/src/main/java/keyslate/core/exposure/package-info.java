/** Time and aperture trades, lamp lag, timer steps, test series and reading between patches; may use quantity and numeric. */
package keyslate.core.exposure;
