/** SQLite by hand: opening the one data file, migrations, transactions, and the driver's errors in plain words. */
package keyslate.store;
