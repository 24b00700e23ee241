/** The test strip: its plan, its edit, and where its patches fall. */
package keyslate.server.test;
