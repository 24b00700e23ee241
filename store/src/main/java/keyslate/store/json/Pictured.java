package keyslate.store.json;

import java.util.List;

/**
 * What a reading took from a picture of the sheet.
 *
 * @param scan number of the sheet's picture, from 1
 * @param papers corners of each paper in it, eight numbers, clockwise from the paper's upper left; null = as they were found
 * @param white x and y of a place that is bare paper, fractions of the picture; null = the rim
 * @param black of one that is as black as the paper gets; null = none was said
 * @param greyCard of a grey card that lies beside; null = none
 * @param tones what was looked for
 */
public record Pictured(
        Integer scan,
        List<List<Double>> papers,
        List<Double> white,
        List<Double> black,
        List<Double> greyCard,
        List<Tone> tones) {
    /**
     * A tone that was measured.
     *
     * @param field of the reading that it answers: whitesAt, rightAt or blacksAt; moreStops of one sheet
     * @param wantedNet density over paper white that is wanted
     * @param spots x and y of the places it was taken from, fractions of the picture; null = where the named tone lies
     * @param seconds that the tone needs in the light of the sheet, as measured
     * @param limitStops 95 % limit of that
     */
    public record Tone(String field, Double wantedNet, List<List<Double>> spots, Double seconds, Double limitStops) {}
}
