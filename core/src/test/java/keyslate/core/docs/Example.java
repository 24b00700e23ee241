package keyslate.core.docs;

import java.util.Map;
import java.util.Optional;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;

/** A row of a page: what is given by name, and the answer as text, so that its decimals are known. */
record Example(String page, String formula, Map<String, Double> given, String answer) {
    double at(String name) {
        return Optional.ofNullable(given.get(name))
                .orElseThrow(() -> new AssertionError(formula + " does not give “" + name + "”, only " + given));
    }

    ExposureTime time(String name) {
        return ExposureTime.ofSeconds(at(name));
    }

    Stops stops(String name) {
        return Stops.of(at(name));
    }

    Length mm(String name) {
        return Length.ofMm(at(name));
    }

    FNumber f(String name) {
        return FNumber.of(at(name));
    }

    Magnification times(String name) {
        return Magnification.of(at(name));
    }

    LocalChange change() {
        return LocalChange.ofStops(at("change"));
    }

    int count(String name) {
        return (int) at(name);
    }

    @Override
    public String toString() {
        return page + " " + formula + " " + given;
    }
}
