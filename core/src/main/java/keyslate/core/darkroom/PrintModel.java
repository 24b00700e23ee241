package keyslate.core.darkroom;

import java.util.List;
import keyslate.core.colour.Viewing;
import keyslate.core.local.AreaMask;

/**
 * What a paper makes of light, as it is labelled: the preview, and what a scan says of the paper in hand. One for each
 * kind of paper.
 */
public interface PrintModel {
    /** Paper that acts as labelled. */
    List<Double> AS_LABELLED = List.of(0.0);

    /**
     * The print.
     *
     * @param negative the part that prints
     * @param view which part of the frame that is
     * @param offsets what {@link #match} learned, stops; {@link #AS_LABELLED} when nothing is known
     */
    Look look(Negative negative, AreaMask.View view, SheetLight light, List<Double> offsets);

    /** The same looked at in another light, or wet; a model that has no colour looks alike in all. */
    default PrintModel seen(Viewing viewing) {
        return this;
    }

    /**
     * REA-01: how much faster each layer of the paper acted than labelled, in stops: the offsets at which the computed print has the mean
     * density of the scanned one. One number for paper of one layer, three for colour.
     *
     * @param scan of the same part
     */
    List<Double> match(Negative negative, AreaMask.View view, SheetLight light, Look scan);
}
