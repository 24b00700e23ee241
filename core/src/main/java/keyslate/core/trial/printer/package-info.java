/**
 * What the simulated printer does: asks the advice, exposes, looks at paper; may use the advice, and neither the
 * simulated darkroom nor what it hides.
 */
package keyslate.core.trial.printer;
