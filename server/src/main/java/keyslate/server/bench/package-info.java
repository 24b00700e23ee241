/** Home: what is on the easel, what is next, paper and baths. */
package keyslate.server.bench;
