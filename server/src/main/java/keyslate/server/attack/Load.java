package keyslate.server.attack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import keyslate.server.attack.Calls.Answer;
import keyslate.server.demo.Crowd;
import tools.jackson.databind.JsonNode;

/** Years of records: how long a start, the Bench, a page of rolls, a slate, an edit and a preview take then. */
final class Load implements Part {
    /** Where there is less than a minute, so that the way is walked all the same. */
    private static final Crowd.Size SOME = new Crowd.Size(360, 60, 6);

    private static final int STARTS = 3;
    private static final int WARM = 30;
    private static final double P95 = 0.95;
    private static final double MS = 1000;

    @Override
    public String name() {
        return "load";
    }

    @Override
    public double share() {
        return 0.07;
    }

    @Override
    public void run(Path folder, Random random, double minutes, Figures figures) throws IOException {
        figures.count("load");
        Path data = Files.createDirectory(folder.resolve("data"));
        long begun = System.nanoTime();
        try (Here here = Here.start(data)) {
            here.part(Crowd.class).make(minutes < 1 ? SOME : Crowd.Size.YEARS);
        }
        figures.put("bulkSeconds", (System.nanoTime() - begun) / 1e9);
        figures.put("dataFileMb", Files.size(data.resolve("practice.db")) / 1e6);
        for (int i = 0; i < (minutes < 1 ? 1 : STARTS); i++) {
            try (Target target = Target.start(data, "--demo")) {
                figures.sample("startUnderLoad", target.startSeconds());
            }
        }
        try (Target target = Target.start(data, "--demo")) {
            Clock until = new Clock(minutes);
            Looks looks = new Looks(target.calls(), random, figures);
            for (int i = 0; i < WARM; i++) {
                looks.once(false);
            }
            do {
                looks.once(true);
                figures.add("load");
            } while (!until.isOver());
            looks.export();
            figures.most("residentMaxMb", target.mostMegabytes());
        }
        figures.percentile("startUnderLoadSeconds", "startUnderLoad", P95);
        for (String what : List.of("bench", "rollsPage", "slate", "edit", "preview")) {
            figures.percentile(what + "UnderLoadP95Ms", what, P95);
        }
    }

    /** One round of what a printer looks at. */
    private static final class Looks {
        private final Calls calls;
        private final Random random;
        private final Figures figures;
        private final List<String> slates = new ArrayList<>();
        private final List<String> rolls = new ArrayList<>();

        Looks(Calls calls, Random random, Figures figures) throws IOException {
            this.calls = calls;
            this.random = random;
            this.figures = figures;
            calls.rolls().forEach(roll -> rolls.add(roll.get("id").asString()));
            JsonNode page = calls.get("/api/bench").json();
            page.get("slates").forEach(s -> slates.add(s.get("id").asString()));
            while (page.get("moreSlates").asInt() > 0) {
                page = calls.get("/api/slates?after=" + slates.get(slates.size() - 1))
                        .json();
                page.get("slates").forEach(s -> slates.add(s.get("id").asString()));
            }
        }

        void once(boolean counts) throws IOException {
            String id = slates.get(random.nextInt(slates.size()));
            String slate = "/api/slates/" + id;
            timed("bench", counts, calls.get("/api/bench"));
            timed("rollsPage", counts, calls.get("/api/rolls?after=" + rolls.get(random.nextInt(rolls.size()))));
            Answer opened = timed("slate", counts, calls.get(slate));
            JsonNode standing = opened.json().get("standing");
            Map<String, Object> body = Map.of(
                    "version",
                    standing.get("version").asLong(),
                    "base",
                    Map.of("changeStops", (1 + random.nextInt(6)) / 12.0));
            Answer edited = timed("edit", counts, calls.patch(slate + "/recipe", body));
            String key = edited.json().get("previewKey").asString();
            timed("preview", counts, calls.get(slate + "/preview?side=960&key=" + key));
        }

        void export() throws IOException {
            Answer file = calls.get("/api/slates/" + slates.get(slates.size() / 2) + "/export");
            figures.put("exportUnderLoadSeconds", timed("export", false, file).seconds());
        }

        private Answer timed(String what, boolean counts, Answer answer) {
            if (!answer.isTaken()) {
                figures.fault("serverErrors", answer.status() + " for " + what);
            } else if (counts) {
                figures.sample(what, answer.seconds() * MS);
            }
            return answer;
        }
    }
}
