/** Records of the store's own for the columns that hold JSON: what they say stays readable whatever becomes of the types of the core. */
package keyslate.store.json;
