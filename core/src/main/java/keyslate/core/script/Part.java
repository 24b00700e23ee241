package keyslate.core.script;

/**
 * A rectangle in fractions of what it lies on: a sheet, a strip, a frame.
 *
 * @param left 0 at the left edge; {@code top} 0 at the upper one
 */
public record Part(double left, double top, double width, double height) {
    public static final Part WHOLE = new Part(0, 0, 1, 1);

    /** The part of this one that {@code inner} is, in fractions of what this lies on. */
    public Part within(Part inner) {
        return new Part(
                left + width * inner.left, top + height * inner.top, width * inner.width, height * inner.height);
    }

    /** Whether a place lies on it; the left and the upper edge do. */
    public boolean holds(double x, double y) {
        return x >= left && x < left + width && y >= top && y < top + height;
    }

    public boolean isEmpty() {
        return width <= 0 || height <= 0;
    }
}
