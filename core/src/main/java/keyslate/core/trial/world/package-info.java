/**
 * What the simulated printer works in: negatives, paper, lamp, eyes, and how far a recipe is from the best; the only
 * package that knows both the truth and the printer.
 */
package keyslate.core.trial.world;
