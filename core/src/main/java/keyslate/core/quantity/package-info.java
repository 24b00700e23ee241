/** Value types of the darkroom and their unit arithmetic; depends on nothing else of ours. */
package keyslate.core.quantity;
