/** Slates with their chain of recipes, and the sheets, bursts and decisions that hang on them. */
package keyslate.store.slate;
