/** Filter packs, casts, viewing filters, ring-arounds and grids; may use quantity and numeric. */
package keyslate.core.colour;
