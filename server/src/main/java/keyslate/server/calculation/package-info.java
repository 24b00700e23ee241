/**
 * Every family of the core's computations over HTTP, for scripts and other tools: POST /api/calculations/&lt;noun&gt;;
 * stores nothing.
 */
package keyslate.server.calculation;
