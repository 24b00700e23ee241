package keyslate.server.transfer;

import keyslate.server.transfer.SlateFile.FileEnlarger;
import keyslate.server.transfer.SlateFile.FileLens;
import keyslate.server.transfer.SlateFile.FilePaper;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;

/** Enlargers, lenses and paper to the file and back. */
final class FileEquipment {
    private FileEquipment() {}

    static FileEnlarger toFile(Enlarger e) {
        return new FileEnlarger(
                e.id(),
                e.name(),
                e.head(),
                e.lamp(),
                e.dials(),
                e.strengthLog10(),
                e.lagSeconds(),
                e.lagSource(),
                e.columnMm(),
                e.columnSource());
    }

    static Enlarger toStore(FileEnlarger e) {
        return new Enlarger(
                e.id(),
                e.name(),
                e.head(),
                e.lamp(),
                e.dials(),
                e.strengthLog10(),
                e.lagSeconds(),
                e.lagSource(),
                e.columnMm(),
                e.columnSource());
    }

    static FileLens toFile(Lens l) {
        return new FileLens(
                l.id(), l.name(), l.focalMm(), l.openMark(), l.smallestMark(), l.marksPerStop(), l.coversMm());
    }

    static Lens toStore(FileLens l) {
        return new Lens(l.id(), l.name(), l.focalMm(), l.openMark(), l.smallestMark(), l.marksPerStop(), l.coversMm());
    }

    static FilePaper toFile(Paper p) {
        return new FilePaper(
                p.id(),
                p.name(),
                p.kind(),
                p.base(),
                p.widthMm(),
                p.heightMm(),
                p.batch(),
                p.sheetsInBox(),
                p.sheetsLeft(),
                p.reserveSheets(),
                p.counted(),
                p.startLight(),
                p.surface() == null || p.surface().isEmpty() ? null : p.surface(),
                p.grade());
    }

    static Paper toStore(FilePaper p) {
        return new Paper(
                p.id(),
                p.name(),
                p.kind(),
                p.base(),
                p.widthMm(),
                p.heightMm(),
                p.batch(),
                p.sheetsInBox(),
                p.sheetsLeft(),
                p.reserveSheets(),
                !Boolean.FALSE.equals(p.counted()),
                p.startLight(),
                p.surface() == null ? "" : p.surface(),
                "",
                null,
                p.grade());
    }
}
