/** What is not on the Bench: slates by the page, putting slates and rolls away, and deleting what no paper was exposed for. */
package keyslate.server.shelf;
