package keyslate.server.journey;

import java.util.ArrayList;
import java.util.List;

/** Listens to rendered sound: where parts of it begin, how long they are, and how high. */
final class Sounding {
    static final int RATE = 22050;
    private static final int WINDOW = RATE / 400;
    private static final double SILENT = 0.004;
    /** Shorter pauses than this are the wave itself, windows. */
    private static final int LEAST_PAUSE = 5;

    private static final double CLEAR = 0.6;

    private Sounding() {}

    /** A part that sounds without a pause; no pitch = noise. */
    record Part(double from, double length, double hertz) {}

    static List<Part> parts(double[] sound) {
        List<Part> parts = new ArrayList<>();
        int start = -1;
        int quiet = 0;
        int windows = sound.length / WINDOW;
        for (int w = 0; w <= windows; w++) {
            boolean loud = w < windows && rms(sound, w * WINDOW, WINDOW) > SILENT;
            if (loud) {
                start = start < 0 ? w : start;
                quiet = 0;
            } else if (start >= 0 && (++quiet >= LEAST_PAUSE || w == windows)) {
                int end = w - quiet + 1;
                int from = start * WINDOW;
                int length = (end - start) * WINDOW;
                parts.add(new Part((double) from / RATE, (double) length / RATE, pitch(sound, from, length)));
                start = -1;
                quiet = 0;
            }
        }
        return parts;
    }

    private static double rms(double[] sound, int from, int length) {
        double sum = 0;
        for (int i = from; i < Math.min(sound.length, from + length); i++) {
            sum += sound[i] * sound[i];
        }
        return Math.sqrt(sum / length);
    }

    /** Pitch by the first high peak of the autocorrelation, between its samples by a parabola; 0 when there is none. */
    private static double pitch(double[] sound, int from, int length) {
        int n = Math.min(length, RATE / 5);
        int longest = Math.min(n / 2, RATE / 70);
        double whole = correlation(sound, from, n, 0);
        if (whole == 0 || longest < 3) {
            return 0;
        }
        double best = 0;
        double[] all = new double[longest + 1];
        for (int lag = 1; lag <= longest; lag++) {
            all[lag] = correlation(sound, from, n, lag) / whole * n / (n - lag);
        }
        int lag = 1;
        while (lag < longest && all[lag] > 0) {
            lag++;
        }
        for (int l = lag; l < longest; l++) {
            best = Math.max(best, all[l]);
        }
        if (best < CLEAR) {
            return 0;
        }
        for (int l = Math.max(2, lag); l < longest; l++) {
            if (all[l] > 0.85 * best && all[l] >= all[l - 1] && all[l] >= all[l + 1]) {
                double shift = (all[l - 1] - all[l + 1]) / (2 * (all[l - 1] - 2 * all[l] + all[l + 1]));
                return RATE / (l + (Double.isFinite(shift) ? shift : 0));
            }
        }
        return 0;
    }

    private static double correlation(double[] sound, int from, int n, int lag) {
        double sum = 0;
        for (int i = 0; i < n - lag && from + i + lag < sound.length; i++) {
            sum += sound[from + i] * sound[from + i + lag];
        }
        return sum;
    }

    /** How loud one pitch is in a window: its mean power by Goertzel's filter. */
    static double power(double[] sound, double from, double length, double hertz) {
        int start = Math.max(0, (int) (from * RATE));
        int n = (int) (length * RATE);
        double coefficient = 2 * Math.cos(2 * Math.PI * hertz / RATE);
        double before = 0;
        double earlier = 0;
        for (int i = start; i < Math.min(sound.length, start + n); i++) {
            double now = sound[i] + coefficient * before - earlier;
            earlier = before;
            before = now;
        }
        return (before * before + earlier * earlier - coefficient * before * earlier) / ((double) n * n);
    }

    static double firstSound(double[] sound) {
        int i = 0;
        while (i < sound.length && Math.abs(sound[i]) < 10 * SILENT) {
            i++;
        }
        return (double) i / RATE;
    }

    static double lastSound(double[] sound) {
        int i = sound.length - 1;
        while (i > 0 && Math.abs(sound[i]) < 10 * SILENT) {
            i--;
        }
        return (double) i / RATE;
    }

    static double peak(double[] sound) {
        double peak = 0;
        for (double s : sound) {
            peak = Math.max(peak, Math.abs(s));
        }
        return peak;
    }
}
