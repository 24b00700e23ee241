package keyslate.server.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import keyslate.server.Http;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The sounds and words of a run, rendered by the browser's own audio without playing them, and listened to. */
class SoundsIT extends JourneyTest {
    private static final Path WEB = Path.of("../web");
    private static final double FULL_SCALE = 32767;
    private static final double SOON = 0.012;
    private static final double WHOLE_TONE = 1.12;

    private Page listener;

    @BeforeEach
    void open() throws IOException {
        listener = browser().newPage(new Browser.NewPageOptions());
        listener.addScriptTag(
                new Page.AddScriptTagOptions().setContent(Files.readString(WEB.resolve("dist-sounds/sounds.js"))));
    }

    @AfterEach
    void close() {
        listener.close();
    }

    @Test
    void everySoundIsApartFromEveryOther() {
        List<String> names = strings("sounds.names");
        assertThat(names).hasSizeGreaterThan(10);
        List<List<Sounding.Part>> heard = names.stream()
                .map(name -> Sounding.parts(render("sounds.notes([{ at: 0.1, sound: '" + name + "' }], 2)")))
                .toList();
        for (int i = 0; i < names.size(); i++) {
            assertThat(heard.get(i)).as(names.get(i)).isNotEmpty();
            for (int j = 0; j < i; j++) {
                assertThat(areApart(heard.get(i), heard.get(j)))
                        .as(names.get(i) + " " + heard.get(i) + " against " + names.get(j) + " " + heard.get(j))
                        .isTrue();
            }
        }
    }

    @Test
    void handsAreLedByPitch() {
        double low = pitch("holdBegins", 0);
        double high = pitch("holdEnds", 0);
        assertThat(low).isCloseTo(262, within(6.0));
        assertThat(high).isCloseTo(1568, within(30.0));
        assertThat(pitch("burnOpens", 1)).isGreaterThan(WHOLE_TONE * pitch("burnOpens", 0));
        assertThat(pitch("burnCloses", 0)).isGreaterThan(WHOLE_TONE * pitch("burnCloses", 1));
        assertThat(pitch("tick", 0)).isCloseTo(1000, within(25.0));
    }

    /** Every step of three demo scripts: a strip, a monochrome print with local work, and a colour print with a burn in a pack of its own. */
    @Test
    void aRunSoundsAsItsScriptSays() {
        Http http = new Http(demo().address());
        List<JsonNode> scripts = new ArrayList<>();
        for (JsonNode slate : http.slates()) {
            JsonNode standing = http.slate(slate.get("id").asString()).get("standing");
            scripts.add(standing.get("local").get("script"));
            scripts.add(standing.get("test").get("script"));
        }
        Set<String> done = new HashSet<>();
        int steps = 0;
        for (JsonNode script : scripts) {
            for (JsonNode step : script) {
                // A step of the same phases sounds the same.
                if (done.add(step.get("phases").toString()) && steps < 14) {
                    steps++;
                    listen(step);
                }
            }
        }
        assertThat(steps).isGreaterThan(8);
        assertThat(done.toString()).contains("HOLD").contains("BURN").contains("CARD");
    }

    private record Expected(double at, double hertz) {}

    private void listen(JsonNode step) {
        double set = step.get("setSeconds").asDouble();
        String json = JsonMapper.shared().writeValueAsString(step);
        double[] heard = render("sounds.notes(sounds.scoreOf(" + json + ", { left: " + set
                + ", from: 0, speed: 1 }).map(n => ({ ...n, at: n.at + 0.1 })), " + (set + 1) + ")");
        List<Expected> expected = new ArrayList<>();
        for (int s = 1; s < set - 0.25; s++) {
            expected.add(new Expected(s, 1000));
        }
        double at = 0;
        for (JsonNode phase : step.get("phases")) {
            double end = at + phase.get("seconds").asDouble();
            switch (phase.get("does").asString()) {
                case "HOLD" -> {
                    expected.add(new Expected(at, 262));
                    expected.add(new Expected(end, 1568));
                }
                case "BURN" -> {
                    expected.add(new Expected(at, 440));
                    expected.add(new Expected(end, 659));
                }
                case "CARD" -> {
                    if (at > 0) {
                        expected.add(new Expected(at, 130));
                    }
                }
                default -> {
                    // Light, or everything covered: nothing but the ticks.
                }
            }
            at = end;
        }
        for (Expected e : expected) {
            double before = Sounding.power(heard, 0.1 + e.at - 0.045, 0.04, e.hertz);
            double after = Sounding.power(heard, 0.1 + e.at + 0.002, 0.03, e.hertz);
            assertThat(after).as(e + " of " + json).isGreaterThan(1e-4).isGreaterThan(3 * before);
        }
        List<Sounding.Part> parts = Sounding.parts(heard);
        assertThat(parts.get(0).from()).as("lamp on").isCloseTo(0.1, within(SOON));
        // Two clicks end it: the second one is 70 ms after the first.
        double end = parts.stream()
                .mapToDouble(Sounding.Part::from)
                .filter(t -> t > 0.1 + set - SOON)
                .findFirst()
                .orElseThrow();
        assertThat(end).as("lamp off").isCloseTo(0.1 + set, within(SOON));
    }

    /** Eight beats of one pitch, a second apart, within 20 ms, and the lamp a second after the last. */
    @Test
    void handsFreeCountsEightBeatsToTheLamp() {
        double[] heard = render("sounds.notes(sounds.beatsOf(1).notes.map(n => ({ ...n, at: n.at + 0.1 })), 10)");
        List<Sounding.Part> beats = Sounding.parts(heard);
        assertThat(beats).hasSize(8);
        for (int i = 0; i < beats.size(); i++) {
            assertThat(beats.get(i).from()).as("beat " + (i + 1)).isCloseTo(1.1 + i, within(0.02));
            assertThat(beats.get(i).hertz()).as("beat " + (i + 1)).isCloseTo(330, within(10.0));
        }
        assertThat(((Number) listener.evaluate("sounds.beatsOf(1).over")).doubleValue())
                .isEqualTo(9);
        assertThat(((Number) listener.evaluate("sounds.beatsOf(2).over")).doubleValue())
                .isEqualTo(4.5);
    }

    @Test
    void wordsAreClipsThatTheBrowserDecodes() throws IOException {
        for (String line : Files.readAllLines(WEB.resolve("voice/words.tsv"))) {
            String clip = line.split("\t")[0];
            double[] heard = render("sounds.words(['" + clip(clip) + "'], 5)");
            double first = Sounding.firstSound(heard);
            double last = Sounding.lastSound(heard);
            assertThat(first).as(clip).isLessThan(0.1);
            assertThat(last - first).as(clip).isBetween(0.1, 4.5);
            assertThat(Sounding.peak(heard)).as(clip).isBetween(0.3, 1.0);
        }
    }

    @Test
    void aSentenceIsSaidClipAfterClip() throws IOException {
        String one = clip("cover-patches-one-to");
        String two = clip("n3");
        double first = Sounding.lastSound(render("sounds.words(['" + one + "'], 6)"));
        double[] both = render("sounds.words(['" + one + "', '" + two + "'], 6)");
        assertThat(Sounding.lastSound(both)).isGreaterThan(first + 0.2);
    }

    private static String clip(String id) throws IOException {
        return Base64.getEncoder().encodeToString(Files.readAllBytes(WEB.resolve("public/voice/" + id + ".mp3")));
    }

    private double pitch(String sound, int part) {
        return Sounding.parts(render("sounds.notes([{ at: 0.1, sound: '" + sound + "' }], 2)"))
                .get(part)
                .hertz();
    }

    private static boolean areApart(List<Sounding.Part> one, List<Sounding.Part> other) {
        if (one.size() != other.size()) {
            return true;
        }
        for (int i = 0; i < one.size(); i++) {
            double a = one.get(i).hertz();
            double b = other.get(i).hertz();
            boolean pitch = (a == 0) != (b == 0) || a > 0 && Math.max(a, b) / Math.min(a, b) >= WHOLE_TONE;
            double ratio = one.get(i).length() / other.get(i).length();
            if (pitch || Math.max(ratio, 1 / ratio) > 1.6) {
                return true;
            }
        }
        return false;
    }

    private double[] render(String script) {
        ByteBuffer bytes = ByteBuffer.wrap(Base64.getDecoder().decode((String) listener.evaluate(script)))
                .order(ByteOrder.LITTLE_ENDIAN);
        double[] samples = new double[bytes.remaining() / 2];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = bytes.getShort() / FULL_SCALE;
        }
        return samples;
    }

    @SuppressWarnings("unchecked")
    private List<String> strings(String script) {
        return (List<String>) listener.evaluate(script);
    }
}
