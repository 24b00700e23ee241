/** Equipment, paper and baths: simple records of what stands in the darkroom. */
package keyslate.store.bench;
