/** Named tones as they stand: in the preview, on the planned test, on the tests that hang. */
package keyslate.server.tone;
