package keyslate.core.trial.printer;

import keyslate.core.quantity.Grade;

/**
 * A standing monochrome recipe.
 *
 * @param grade what it prints at; of a split, the one it is worth
 * @param setSeconds as the timer is set, in one burst
 */
public record MonoRecipe(Grade grade, double setSeconds) {}
