/** {@code ./slate attack}: programs of its own are killed, pressed and raced, to prove that nothing is lost and nothing sticks. */
package keyslate.server.attack;
