/** A recipe together with the things it names, today's or those that stood, as values to compute with. */
package keyslate.server.rig;
