/** The kinds of paper as the application knows them: the core's medium with its stations and words. */
package keyslate.server.medium;
