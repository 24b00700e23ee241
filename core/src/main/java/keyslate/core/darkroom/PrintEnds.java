package keyslate.core.darkroom;

import keyslate.core.contrast.VariableContrastPaper;

/** Marks in the picture of a monochrome print what is bare paper and what is full black: stripes one way in the whites, the other way in the blacks, so that they are told apart without colour. */
public final class PrintEnds {
    /** Net density up to which paper is as good as bare. */
    public static final double BARE_NET = 0.02;
    /** Net density from which no black is deeper to the eye. */
    public static final double BLOCKED_NET = 0.97 * VariableContrastPaper.NET_MAXIMUM;

    /** Stripes across a picture, whatever its pixels; of that the dark third. */
    private static final int STRIPES = 60;

    private static final int LEAST_APART = 4;
    private static final byte IN_WHITE = (byte) 96;
    private static final byte IN_BLACK = (byte) 176;

    private PrintEnds() {}

    /** The same picture with its ends marked; one of several planes stays as it is. */
    public static Look marked(Look look) {
        if (look.planes() != 1) {
            return look;
        }
        int bare = ToneEncoding.encode(Math.pow(10, -(VariableContrastPaper.PAPER_WHITE + BARE_NET))) & 0xff;
        int blocked = ToneEncoding.encode(Math.pow(10, -(VariableContrastPaper.PAPER_WHITE + BLOCKED_NET))) & 0xff;
        int apart = Math.max(LEAST_APART, look.width() / STRIPES);
        int broad = (apart + 1) / 3;
        byte[] codes = look.samples().clone();
        for (int i = 0; i < codes.length; i++) {
            int x = i % look.width();
            int y = i / look.width();
            int code = codes[i] & 0xff;
            if (code >= bare && Math.floorMod(x + y, apart) < broad) {
                codes[i] = IN_WHITE;
            } else if (code <= blocked && Math.floorMod(x - y, apart) < broad) {
                codes[i] = IN_BLACK;
            }
        }
        return Look.grey(look.width(), look.height(), codes);
    }
}
