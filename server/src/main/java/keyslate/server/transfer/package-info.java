/** Slates in and out as JSON, without loss, and older files read as what they were. */
package keyslate.server.transfer;
