/** Tones of a picture that have a name: where they lie, what they should become, and what the print makes of them. */
package keyslate.core.tone;
