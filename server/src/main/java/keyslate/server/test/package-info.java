/** The test strip: its plan, and its reading. */
package keyslate.server.test;
