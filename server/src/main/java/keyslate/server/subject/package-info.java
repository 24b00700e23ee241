/** What a slate prints: one frame, or a whole roll on one sheet. */
package keyslate.server.subject;
