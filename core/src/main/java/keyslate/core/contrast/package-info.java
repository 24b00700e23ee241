/** Grades, filters and the variable-contrast paper model; may use quantity and numeric. */
package keyslate.core.contrast;
