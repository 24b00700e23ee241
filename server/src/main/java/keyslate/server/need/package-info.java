/** From proof to print: what a frame needs beside another one, by eye or from the scan of their proof. */
package keyslate.server.need;
