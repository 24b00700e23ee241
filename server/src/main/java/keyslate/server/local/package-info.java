/** The local plan: holds and burns in stops, percent and seconds, and what hands can do. */
package keyslate.server.local;
