package keyslate.server.attack;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import keyslate.server.demo.Crowd;
import keyslate.store.Database;

/**
 * A disk that is full, or cannot be written, at each kind of write and in the middle of a burst: said in plain words with 507 or 503,
 * nothing acknowledged is lost, the lamp goes out all the same, and work goes on by itself when the disk does.
 */
final class Disk implements Part {
    private static final String SIZE = "640m";
    private static final int PIECE = 1 << 20;

    @Override
    public String name() {
        return "disk";
    }

    @Override
    public double share() {
        return 0.06;
    }

    @Override
    public void run(Path folder, Random random, double minutes, Figures figures)
            throws IOException, InterruptedException {
        List.of("diskFaults", "diskFaultsUnsaid", "losses").forEach(figures::count);
        Clock until = new Clock(minutes);
        Path memory = Files.createDirectory(folder.resolve("memory"));
        boolean mounted = command("mount", "-t", "tmpfs", "-o", "size=" + SIZE, "tmpfs", memory.toString());
        figures.put("disk", mounted ? "memory file system" : "page limit");
        if (mounted) {
            try (Target target = Target.start(Here.stocked(memory.resolve("data")), "--demo", "--clock-speed", "20")) {
                rounds(
                        target.calls(),
                        new FilledDisk(
                                memory.resolve("filler"), memory.resolve("data").resolve("backups")),
                        random,
                        minutes * 0.6,
                        figures);
                figures.most("residentMaxMb", target.mostMegabytes());
            } finally {
                command("umount", memory.toString());
            }
        }
        try (Here here = Here.start(Files.createDirectory(folder.resolve("data")))) {
            here.part(Crowd.class).stock();
            Database database = here.part(Database.class);
            List<Trouble> troubles = List.of(new PageLimit(database), new ReadOnly(database));
            do {
                for (Trouble trouble : troubles) {
                    rounds(here.calls(), trouble, random, 0, figures);
                }
            } while (!until.isOver());
        }
    }

    private static boolean command(String... words) throws IOException, InterruptedException {
        try {
            return new ProcessBuilder(words)
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException e) {
            return false;
        }
    }

    /** Every kind of write in some order, once and until the time is over. */
    private static void rounds(Calls calls, Trouble trouble, Random random, double minutes, Figures figures)
            throws IOException, InterruptedException {
        Clock until = new Clock(minutes);
        Ledger ledger = new Ledger();
        Writes writes = new Writes(calls, ledger, figures);
        do {
            List<String> kinds = new ArrayList<>(writes.kinds());
            Collections.shuffle(kinds, random);
            for (String kind : kinds) {
                writes.meet(kind, trouble);
            }
            writes.burst(trouble, random.nextBoolean());
        } while (!until.isOver());
        ledger.check(calls, random, true, figures);
    }

    /** What is wrong with the disk for a while. */
    interface Trouble {
        void begin() throws IOException;

        void end() throws IOException;
    }

    /** A file takes every byte that is left; backups that are made go with it, since they would fill the small disk for good. */
    private record FilledDisk(Path filler, Path backups) implements Trouble {
        @Override
        public void begin() throws IOException {
            for (int piece = PIECE; piece > 0; piece /= 16) {
                fill(new byte[piece]);
            }
        }

        private void fill(byte[] piece) throws IOException {
            try (OutputStream out = Files.newOutputStream(
                    filler, java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.APPEND)) {
                while (true) {
                    out.write(piece);
                }
            } catch (java.nio.file.FileSystemException e) {
                throw e;
            } catch (IOException e) {
                // Full.
            }
        }

        @Override
        public void end() throws IOException {
            Files.deleteIfExists(filler);
            if (Files.isDirectory(backups)) {
                Attack.empty(backups);
            }
        }
    }

    /** SQLite's own limit: a file that may not grow. */
    private record PageLimit(Database database) implements Trouble {
        @Override
        public void begin() {
            pragma(database, "max_page_count = 1");
        }

        @Override
        public void end() {
            pragma(database, "max_page_count = 4294967294");
        }
    }

    /** The only writer may not write. */
    private record ReadOnly(Database database) implements Trouble {
        @Override
        public void begin() {
            pragma(database, "query_only = 1");
        }

        @Override
        public void end() {
            pragma(database, "query_only = 0");
        }
    }

    private static void pragma(Database database, String what) {
        database.setForWriter(what);
    }
}
