package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PrintEndsTest {
    private static byte code(double net) {
        return (byte) ToneEncoding.encode(Math.pow(10, -(0.06 + net)));
    }

    @Test
    void whitesAndBlacksAreStripedAndEverythingBetweenStays() {
        int side = 48;
        byte[] codes = new byte[3 * side * side];
        for (int i = 0; i < codes.length; i++) {
            int column = i % (3 * side) / side;
            codes[i] = code(column == 0 ? 0.005 : column == 1 ? 0.6 : 2.04);
        }
        byte[] marked = PrintEnds.marked(Look.grey(3 * side, side, codes)).samples();
        int[] changed = new int[3];
        for (int i = 0; i < codes.length; i++) {
            changed[i % (3 * side) / side] += marked[i] == codes[i] ? 0 : 1;
        }
        assertThat(changed[1]).isZero();
        assertThat(changed[0]).isBetween(side * side / 5, side * side / 2);
        assertThat(changed[2]).isBetween(side * side / 5, side * side / 2);
        assertThat(codes[0]).as("the picture that came stays").isEqualTo(code(0.005));
    }

    @Test
    void aPictureInColourStaysAsItIs() {
        Look look = Look.colour(1, 1, new byte[] {1, 2, 3});
        assertThat(PrintEnds.marked(look)).isSameAs(look);
    }
}
