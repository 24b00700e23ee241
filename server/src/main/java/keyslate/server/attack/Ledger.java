package keyslate.server.attack;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import keyslate.server.attack.Calls.Answer;
import tools.jackson.databind.JsonNode;

/** What a target has acknowledged, and must still have after whatever happened to it. Used by several threads. */
final class Ledger {
    /** So many slates are looked at after each kill; all of them at the end. */
    private static final int LOOKED_AT = 60;

    private static final String EXPOSING = "EXPOSING";

    private static final class Sheet {
        private final String slate;
        private final String script;
        private String state = EXPOSING;
        private int decisions;

        Sheet(String slate, String script) {
            this.slate = slate;
            this.script = script;
        }
    }

    private final Map<String, Long> versions = new LinkedHashMap<>();
    private final Map<String, Sheet> sheets = new LinkedHashMap<>();
    private final Set<String> forNobody = new HashSet<>();

    synchronized void slate(String id, long version) {
        versions.merge(id, version, Math::max);
    }

    synchronized void begun(String slate, String sheet, String script) {
        sheets.put(sheet, new Sheet(slate, script));
    }

    synchronized void ended(String sheet, String state) {
        sheets.get(sheet).state = state;
    }

    synchronized void decided(String sheet) {
        sheets.get(sheet).decisions++;
    }

    /** The slates that clients may work at. */
    synchronized List<String> slates() {
        return versions.keySet().stream().filter(id -> !forNobody.contains(id)).toList();
    }

    /** A slate is looked at like the others, and no client works at it. */
    synchronized void isForNobody(String slate) {
        forNobody.add(slate);
    }

    /** Sheets that may still be under the lamp. */
    synchronized List<String> open() {
        return sheets.entrySet().stream()
                .filter(e -> EXPOSING.equals(e.getValue().state))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Looks whether all of it is there; each thing that is not is a loss. */
    synchronized void check(Calls calls, Random random, boolean all, Figures figures) throws IOException {
        List<String> looked = new ArrayList<>(versions.keySet());
        Collections.shuffle(looked, random);
        for (String id : all ? looked : looked.subList(0, Math.min(LOOKED_AT, looked.size()))) {
            Answer answer = calls.get("/api/slates/" + id);
            if (!answer.isTaken()) {
                figures.fault("losses", "slate " + id + " answers " + answer.status());
                continue;
            }
            JsonNode slate = answer.json();
            long version = slate.get("standing").get("version").asLong();
            if (version < versions.get(id)) {
                figures.fault("losses", "slate " + id + " is at version " + version + ", was at " + versions.get(id));
            }
            for (Map.Entry<String, Sheet> kept : sheets.entrySet()) {
                if (kept.getValue().slate.equals(id)) {
                    check(calls, slate, kept.getKey(), kept.getValue(), figures);
                }
            }
        }
    }

    private static void check(Calls calls, JsonNode slate, String id, Sheet kept, Figures figures) throws IOException {
        JsonNode found = null;
        for (JsonNode sheet : slate.get("sheets")) {
            found = id.equals(sheet.get("id").asString()) ? sheet : found;
        }
        if (found == null) {
            figures.fault("losses", "sheet " + id + " is gone");
            return;
        }
        String state = found.get("state").asString();
        if (!EXPOSING.equals(kept.state) && !kept.state.equals(state)) {
            figures.fault("losses", "sheet " + id + " is " + state + ", was " + kept.state);
        }
        if (found.get("decisions").size() < kept.decisions) {
            figures.fault("losses", "a decision about sheet " + id + " is gone");
        }
        JsonNode run = calls.get("/api/sheets/" + id + "/run").json();
        if (!kept.script.equals(run.get("script").toString())) {
            figures.fault("losses", "the script of sheet " + id + " has changed");
        }
        if (run.get("lampOn").asBoolean()) {
            figures.fault("losses", "sheet " + id + " is torn: its lamp is lit after a start");
        }
    }
}
