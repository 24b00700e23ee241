/** Slates in and out as JSON. */
package keyslate.server.transfer;
