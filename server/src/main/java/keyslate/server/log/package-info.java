/** The log file: one, of limited size, in the data folder, without a word of what its owner wrote. */
package keyslate.server.log;
