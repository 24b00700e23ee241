/** The scan of a whole sleeve or proof sheet, cut into the frames of its roll by a grid. */
package keyslate.server.sleeve;
