/** The script of a sheet: its exposures in order, each of which says by itself where its light falls; may use quantity, exposure, light and local. */
package keyslate.core.script;
