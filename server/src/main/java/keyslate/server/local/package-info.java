/** The whole sheet with its local work: holds and burns in stops, percent and seconds, and what hands can do. */
package keyslate.server.local;
