package keyslate.server;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.light.Light;

/**
 * What is said in the dark, as names of recorded clips in the order they are played. Every name stands in
 * {@code web/voice/words.tsv}; what has no clip, such as the name an area was given, is said by its number on the list.
 */
public final class Spoken {
    private static final Map<String, String> UNITS = Map.of("mm", "millimetres", "cm", "centimetres", "in", "inches");
    private static final int LAST_OWN_NUMBER = 20;
    private static final int HUNDRED = 100;
    private static final int TEN = 10;
    private static final double HALF = 0.25;

    private final List<String> clips = new ArrayList<>();

    /** A clip as it is. */
    public Spoken say(String clip) {
        clips.add(clip);
        return this;
    }

    /** A whole number, 0 to 9999. */
    public Spoken number(int number) {
        int left = number;
        if (left >= HUNDRED) {
            int hundreds = left / HUNDRED;
            number(hundreds).say("hundred");
            left %= HUNDRED;
            if (left == 0) {
                return this;
            }
        }
        if (left > LAST_OWN_NUMBER) {
            clips.add("n" + left / TEN * TEN);
            left %= TEN;
            if (left == 0) {
                return this;
            }
        }
        return say("n" + left);
    }

    /** A time to a tenth of a second, as a timer is set. */
    public Spoken seconds(double seconds) {
        return tenths(seconds).say("seconds");
    }

    /** A length to a tenth, in its unit: mm, cm or in. */
    public Spoken length(double inUnit, String unit) {
        return tenths(inUnit).say(UNITS.get(unit));
    }

    private Spoken tenths(double value) {
        long tenths = Math.round(value * TEN);
        number((int) (tenths / TEN));
        return tenths % TEN == 0 ? this : say("point").number((int) (tenths % TEN));
    }

    /** Areas by their numbers on the list, from 1. */
    public Spoken areas(List<Integer> numbers) {
        for (int i = 0; i < numbers.size(); i++) {
            if (i > 0) {
                say("and");
            }
            say("area").number(numbers.get(i));
        }
        return this;
    }

    /** How often the printer's own timer is pressed; nothing for once. */
    public Spoken presses(int presses) {
        return presses > 1 ? say("press").number(presses).say("times") : this;
    }

    /** Another light: a grade by its name; dials are never set in the dark, so that the list is enough for them. */
    public Spoken light(Light light) {
        if (light instanceof Light.Third third) {
            return say(third.primary().word() + "-light");
        }
        return light.points().isEmpty() ? grade(light) : say("set-light");
    }

    private Spoken grade(Light light) {
        if (light.toFilter() == GradeFilter.NONE) {
            return say("no-filter");
        }
        say("set-grade");
        String label = light.toFilter().label();
        if ("00".equals(label)) {
            return say("double-zero");
        }
        double onScale = light.toFilter().grade().onScale();
        int whole = (int) Math.floor(onScale);
        number(whole);
        return onScale - whole > HALF ? say("and-a-half") : this;
    }

    public List<String> clips() {
        return List.copyOf(clips);
    }
}
