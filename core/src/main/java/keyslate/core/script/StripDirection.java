package keyslate.core.script;

/** Where the dark end of a strip lies on the picture. */
public enum StripDirection {
    DARK_RIGHT(true, false),
    DARK_LEFT(true, true),
    DARK_BOTTOM(false, false),
    DARK_TOP(false, true);

    private final boolean along;
    private final boolean reversed;

    StripDirection(boolean along, boolean reversed) {
        this.along = along;
        this.reversed = reversed;
    }

    /** Whether the patches follow each other from side to side, else from top to bottom. */
    public boolean isAlong() {
        return along;
    }

    /** Where patch {@code number} of so many (from 1, the lightest) lies on the strip. */
    public Part patch(int number, int patches) {
        double size = 1.0 / patches;
        return part(reversed ? 1 - number * size : (number - 1) * size, size);
    }

    /** What is not under the card while the patches before {@code number} are covered. */
    public Part uncovered(int number, int patches) {
        double left = 1 - (number - 1.0) / patches;
        return part(reversed ? 0 : 1 - left, left);
    }

    private Part part(double from, double size) {
        return along ? new Part(from, 0, size, 1) : new Part(0, from, 1, size);
    }
}
