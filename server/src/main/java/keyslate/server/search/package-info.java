/** Finding frames: by words, and by what they were printed on. */
package keyslate.server.search;
