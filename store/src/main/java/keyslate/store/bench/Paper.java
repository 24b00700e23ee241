package keyslate.store.bench;

/**
 * A box of paper of one batch.
 *
 * @param kind MONOCHROME or COLOUR: decides the medium
 * @param base RC or FB
 * @param widthMm long side of a sheet, millimetres; {@code heightMm} the short one
 * @param sheetsLeft may be a fraction: strips take part of a sheet; 0 or more
 * @param reserveSheets below this it is the reserve
 * @param counted whether its owner counted the sheets; else the numbers mean nothing and are not shown
 * @param startLight what its owner begins with, such as "0/52/47"; null = a plain default
 * @param surface in words, "" where nobody said; null in what stood before it was asked
 * @param openedOn the day the box was opened, such as 2026-11-27; "" or null where nobody said
 * @param sheetPrice of a whole sheet, in the user's own money; null where nobody said
 * @param grade of graded paper, −1 to 5; null where its contrast changes with the light, and in colour
 */
public record Paper(
        String id,
        String name,
        String kind,
        String base,
        double widthMm,
        double heightMm,
        String batch,
        int sheetsInBox,
        double sheetsLeft,
        int reserveSheets,
        boolean counted,
        String startLight,
        String surface,
        String openedOn,
        Double sheetPrice,
        Double grade) {
    /** Whether every light prints it with the same contrast. */
    public boolean hasOneGrade() {
        return grade != null;
    }

    /** Whether another box holds the same paper, whatever its size and batch. */
    public boolean isLike(Paper other) {
        return type().equals(other.type()) && kind.equals(other.kind);
    }

    /** What it is called by its name and, where it has one, its grade. */
    public String type() {
        return grade == null
                ? name
                : name + ", paper grade "
                        + (grade == Math.rint(grade) ? Long.toString(Math.round(grade)) : grade.toString());
    }
}
