/** Picture files: what is taken in, as linear light, in which colours, how it stands; stored once with a working copy. */
package keyslate.server.picture;
