/** The application: its start, its beans, and one package per station of the work. */
package keyslate.server;
