/**
 * A simulated printer follows the advice from unknown negatives on unknown paper and is measured; may use every other
 * package, and none uses it.
 */
package keyslate.core.trial;
