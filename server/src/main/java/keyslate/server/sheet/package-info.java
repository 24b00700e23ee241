/** Sheets on the cord: their kinds, and how one is shown with its script in words. */
package keyslate.server.sheet;
