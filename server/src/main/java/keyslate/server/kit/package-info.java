/** Kits of viewing filters: each entered once, by name. */
package keyslate.server.kit;
