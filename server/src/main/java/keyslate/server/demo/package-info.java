/** Kiln Yard: the demo data. */
package keyslate.server.demo;
