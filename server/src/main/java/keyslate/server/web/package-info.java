/** What every request passes: local-only guard, headers, problem documents, the page. */
package keyslate.server.web;
