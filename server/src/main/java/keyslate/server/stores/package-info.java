/** The shelves: what one prints with, each thing with what is known of it; added, changed, retired. */
package keyslate.server.stores;
