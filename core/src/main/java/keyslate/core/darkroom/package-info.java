/** The simulated enlarger, film, paper and process: what a sheet would look like; may use every other package. */
package keyslate.core.darkroom;
