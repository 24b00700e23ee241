/** The kinds of test: what each patch is to receive, how it is given with each lamp, and where it lies. */
package keyslate.core.test;
