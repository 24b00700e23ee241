package keyslate.core.trial.printer;

/**
 * A base exposure with one area held back or burned.
 *
 * @param baseSetSeconds as the timer is set for the base
 * @param changeSeconds burned (+) in a burst of its own, or held back (−) from the base; received
 */
public record LocalRecipe(double baseSetSeconds, double changeSeconds) {}
