package keyslate.server.stores;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.LampWay;
import keyslate.server.Ids;
import keyslate.server.medium.Media;
import keyslate.server.stores.StoresViews.BathAsked;
import keyslate.server.stores.StoresViews.EnlargerAsked;
import keyslate.server.stores.StoresViews.LensAsked;
import keyslate.server.stores.StoresViews.PaperAsked;
import keyslate.server.stores.StoresViews.PiecesView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.bench.Bath;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository.PieceStock;
import org.jspecify.annotations.Nullable;

/** What was said of a thing, checked field by field; what was left out stays, or is a default that says so. */
final class EquipmentChecks {
    static final int LONGEST_NAME = 80;
    static final int LONGEST_REMARK = 400;

    private static final double USUAL_STRENGTH = 3.1;
    private static final double USUAL_LAG_SECONDS = 0.1;
    private static final double USUAL_COLUMN_MM = 800;
    private static final int USUAL_BOX = 100;
    private static final double HIGHEST_PRICE = 100_000;
    private static final double LEAST_SHEET_MM = 20;
    private static final double MOST_SHEET_MM = 2000;
    private static final int MOST_SHEETS = 100_000;
    private static final int LONGEST_SURFACE = 40;
    private static final double LEAST_PIECE_MM = 10;
    private static final int MOST_PIECES = 10_000;
    private static final double LEAST_CAPACITY_M2 = 0.01;
    private static final double MOST_CAPACITY_M2 = 1000;
    private static final double SHORTEST_BATH_SECONDS = 5;
    private static final double LONGEST_BATH_SECONDS = 3600;
    private static final String DEFAULT = "default";

    private final Media media;
    private final boolean practice;

    EquipmentChecks(Media media, boolean practice) {
        this.media = media;
        this.practice = practice;
    }

    Enlarger enlarger(FieldErrors errors, @Nullable Enlarger before, EnlargerAsked asked) {
        LampWay way = asked.lamp() == null
                ? before == null ? practice ? LampWay.SWITCHED : LampWay.MY_TIMER : LampWay.valueOf(before.lamp())
                : errors.check("/lamp", LampWay.MY_TIMER, () -> oneOf(LampWay.class, asked.lamp()));
        if (way == LampWay.SWITCHED && !practice) {
            errors.add("/lamp", "E_INFEASIBLE", "No device that switches a lamp is connected; say how you time it.");
        }
        Double column = asked.columnMm();
        return new Enlarger(
                before == null ? Ids.fresh() : before.id(),
                name(errors, asked.name(), before == null ? null : before.name()),
                asked.head() == null
                        ? before == null ? "Diffusion head" : before.head()
                        : Texts.checked(errors, "/head", asked.head(), 1, LONGEST_NAME),
                way.name(),
                asked.dials() == null ? before != null && before.dials() : asked.dials(),
                before == null ? USUAL_STRENGTH : before.strengthLog10(),
                before == null ? USUAL_LAG_SECONDS : before.lagSeconds(),
                before == null ? DEFAULT : before.lagSource(),
                column == null
                        ? before == null ? USUAL_COLUMN_MM : before.columnMm()
                        : errors.check("/columnMm", column, () -> Check.within("column", column, 50, 10_000, "mm")),
                column == null ? before == null ? DEFAULT : before.columnSource() : "entered");
    }

    private static String name(FieldErrors errors, @Nullable String asked, @Nullable String before) {
        return asked == null && before != null ? before : Texts.checked(errors, "/name", asked, 1, LONGEST_NAME);
    }

    Lens lens(FieldErrors errors, @Nullable Lens before, LensAsked asked) {
        double focal = number(
                errors, "/focalMm", "focal length", asked.focalMm(), before == null ? null : before.focalMm(), 10, 600);
        int perStop = asked.marksPerStop() == null
                ? before == null ? 2 : before.marksPerStop()
                : errors.check(
                        "/marksPerStop", 2, () -> Check.count("marks for each stop", asked.marksPerStop(), 1, 3));
        double open = mark(
                errors,
                "/openMark",
                asked.openMark(),
                before == null ? null : before.openMark(),
                n -> ApertureMark.widest(n, perStop));
        double smallest = mark(
                errors,
                "/smallestMark",
                asked.smallestMark(),
                before == null ? null : before.smallestMark(),
                n -> ApertureMark.ofEngraved(n, perStop));
        if (errors.isEmpty() && smallest < open) {
            errors.add("/smallestMark", "E_RANGE", "The smallest opening has the larger number.");
        }
        String name = asked.name() == null && before == null
                ? keyslate.server.Show.number(focal) + " mm lens"
                : name(errors, asked.name(), before == null ? null : before.name());
        double covers = asked.coversMm() == null
                ? before == null || asked.focalMm() != null ? focal : before.coversMm()
                : number(errors, "/coversMm", "longest diagonal", asked.coversMm(), null, 5, 1000);
        return new Lens(before == null ? Ids.fresh() : before.id(), name, focal, open, smallest, perStop, covers);
    }

    /** The kind of paper it is for. */
    private String kind(FieldErrors errors, String pointer, @Nullable String kind) {
        if (kind == null || !media.knows(kind)) {
            errors.add(pointer, "E_SHAPE", "Choose one of these.");
        }
        return kind == null ? "" : kind;
    }

    /** A bath; one that is new stands last in the row of its process. */
    Bath bath(FieldErrors errors, @Nullable Bath before, List<Bath> row, String now, BathAsked asked) {
        String process = asked.process() == null && before != null
                ? before.process()
                : kind(errors, "/process", asked.process());
        boolean fresh = before == null || Boolean.TRUE.equals(asked.mixedNow());
        double capacity = number(
                errors,
                "/capacityM2",
                "capacity",
                asked.capacityM2(),
                before == null ? null : before.capacityM2(),
                LEAST_CAPACITY_M2,
                MOST_CAPACITY_M2);
        double stood = fresh ? 0 : before.usedM2();
        double used = asked.usedM2() == null || Boolean.TRUE.equals(asked.mixedNow())
                ? stood
                : errors.check(
                        "/usedM2",
                        stood,
                        () -> Check.within("used area", asked.usedM2(), 0, MOST_CAPACITY_M2, "square metres"));
        Double least = asked.leastSeconds();
        Double kept = least == null
                ? before == null ? null : before.leastSeconds()
                : least == 0
                        ? null
                        : errors.check(
                                "/leastSeconds",
                                least,
                                () -> Check.within(
                                        "least time", least, SHORTEST_BATH_SECONDS, LONGEST_BATH_SECONDS, "s"));
        int place = before == null
                ? 1
                        + row.stream()
                                .filter(b -> b.process().equals(process))
                                .mapToInt(Bath::place)
                                .max()
                                .orElse(0)
                : before.place();
        return new Bath(
                before == null ? Ids.fresh() : before.id(),
                place,
                process,
                name(errors, asked.name(), before == null ? null : before.name()),
                fresh ? now : before.mixedAt(),
                capacity,
                used,
                kept);
    }

    private static double mark(
            FieldErrors errors,
            String pointer,
            @Nullable Double asked,
            @Nullable Double before,
            DoubleFunction<ApertureMark> read) {
        double number = asked == null ? before == null ? Double.NaN : before : asked;
        return errors.check(pointer, 1.0, () -> read.apply(number).engraved());
    }

    private static double number(
            FieldErrors errors,
            String pointer,
            String name,
            @Nullable Double asked,
            @Nullable Double before,
            double low,
            double high) {
        double value = asked == null ? before == null ? Double.NaN : before : asked;
        return errors.check(pointer, low, () -> Check.within(name, value, low, high, "mm"));
    }

    Paper paper(FieldErrors errors, @Nullable Paper before, PaperAsked asked) {
        String kind = asked.kind() == null ? before == null ? "" : before.kind() : asked.kind();
        if (!media.knows(kind)) {
            errors.add("/kind", "E_SHAPE", "Choose one of these.");
        } else if (before != null && !kind.equals(before.kind())) {
            errors.add("/kind", "E_INFEASIBLE", "A box stays what it is. Add another one.");
        }
        double a = number(
                errors,
                "/longMm",
                "sheet",
                asked.longMm(),
                before == null ? null : before.widthMm(),
                LEAST_SHEET_MM,
                MOST_SHEET_MM);
        double b = number(
                errors,
                "/shortMm",
                "sheet",
                asked.shortMm(),
                before == null ? null : before.heightMm(),
                LEAST_SHEET_MM,
                MOST_SHEET_MM);
        int box = asked.sheetsInBox() == null
                ? before == null ? USUAL_BOX : before.sheetsInBox()
                : errors.check("/sheetsInBox", 1, () -> Check.count("sheets", asked.sheetsInBox(), 1, MOST_SHEETS));
        double left = asked.sheetsLeft() == null
                ? before == null ? box : before.sheetsLeft()
                : errors.check(
                        "/sheetsLeft", 0.0, () -> Check.within("sheets left", asked.sheetsLeft(), 0, MOST_SHEETS, ""));
        return new Paper(
                before == null ? Ids.fresh() : before.id(),
                name(errors, asked.name(), before == null ? null : before.name()),
                kind,
                asked.base() == null
                        ? before == null ? Base.RC.name() : before.base()
                        : errors.check("/base", Base.RC, () -> oneOf(Base.class, asked.base()))
                                .name(),
                Math.max(a, b),
                Math.min(a, b),
                asked.batch() == null
                        ? before == null ? "first box" : before.batch()
                        : Texts.checked(errors, "/batch", asked.batch(), 0, LONGEST_NAME),
                Math.max(box, (int) Math.ceil(left)),
                left,
                asked.reserveSheets() == null
                        ? before == null ? 0 : before.reserveSheets()
                        : errors.check(
                                "/reserveSheets",
                                0,
                                () -> Check.count("reserve", asked.reserveSheets(), 0, MOST_SHEETS)),
                asked.sheetsLeft() != null || before != null && before.counted(),
                before == null ? null : before.startLight(),
                asked.surface() == null
                        ? before == null ? "" : before.surface()
                        : Texts.checked(errors, "/surface", asked.surface(), 0, LONGEST_SURFACE),
                asked.openedOn() == null
                        ? before == null ? "" : before.openedOn()
                        : day(errors, "/openedOn", asked.openedOn()),
                asked.sheetPrice() == null
                        ? before == null ? null : before.sheetPrice()
                        : errors.check(
                                "/sheetPrice",
                                0.0,
                                () -> Check.within("price", asked.sheetPrice(), 0, HIGHEST_PRICE, "")),
                grade(errors, before, asked, kind));
    }

    /** Graded paper is monochrome, and what it is. */
    private static @Nullable Double grade(FieldErrors errors, @Nullable Paper before, PaperAsked asked, String kind) {
        Double stands = before == null ? null : before.grade();
        if (asked.grade() == null) {
            return stands;
        }
        if (!Monochrome.ID.equals(kind)) {
            errors.add("/grade", "E_INFEASIBLE", "Colour paper has no grades.");
        } else if (before != null && !asked.grade().equals(stands)) {
            errors.add("/grade", "E_INFEASIBLE", "A box stays what it is. Add another one.");
        }
        return errors.check("/grade", stands, () -> Grade.of(asked.grade()).onScale());
    }

    /** A day as it is written on a box; "" where it was taken back. */
    private static String day(FieldErrors errors, String pointer, String given) {
        String day = given.strip();
        try {
            return day.isEmpty() ? "" : LocalDate.parse(day).toString();
        } catch (DateTimeParseException e) {
            errors.add(pointer, "E_SHAPE", "Give the day as year-month-day, such as 2026-11-27.");
            return "";
        }
    }

    /** What paper is made of. */
    private enum Base {
        RC,
        FB
    }

    static PieceStock pieces(FieldErrors errors, Paper paper, PiecesView asked) {
        double a = errors.check(
                "/longMm",
                LEAST_PIECE_MM,
                () -> Check.within("side", asked.longMm(), LEAST_PIECE_MM, paper.widthMm(), "mm"));
        double b = errors.check(
                "/shortMm",
                LEAST_PIECE_MM,
                () -> Check.within("side", asked.shortMm(), LEAST_PIECE_MM, paper.widthMm(), "mm"));
        int pieces = errors.check("/pieces", 0, () -> Check.count("pieces", asked.pieces(), 0, MOST_PIECES));
        return new PieceStock(paper.id(), Math.max(a, b), Math.min(a, b), pieces);
    }

    /** A choice by its name. */
    static <E extends Enum<E>> E oneOf(Class<E> type, @Nullable String given) {
        return Arrays.stream(type.getEnumConstants())
                .filter(e -> e.name().equals(given))
                .findFirst()
                .orElseThrow(() -> new QuantityException(
                        QuantityException.Kind.WRONG_SHAPE,
                        "choice",
                        "this choice does not exist; there are "
                                + Arrays.stream(type.getEnumConstants())
                                        .map(Enum::name)
                                        .collect(Collectors.joining(", "))));
    }
}
