/** Areas, holds and burns, what hands can do, and the schedule of a run; may use quantity, numeric, exposure and contrast. */
package keyslate.core.local;
