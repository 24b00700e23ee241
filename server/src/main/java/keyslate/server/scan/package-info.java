/** Reading from a picture of a sheet: the papers in it, what is measured on them, and the practice phone. */
package keyslate.server.scan;
