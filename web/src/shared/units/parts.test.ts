import { describe, expect, it } from "vitest";
import { partLights, partSeconds, partsText, settingText, thirdsText } from "./parts";

const part = (grade: string, seconds: number) => ({ light: { notation: `grade ${grade}` }, seconds });

describe("a base exposure in words", () => {
  it("is a filter and a time", () => {
    expect(partsText([part("3", 11.42)])).toBe("grade 3, 11.4 s");
  });

  it("names both of two parts, so that neither is forgotten", () => {
    const split = [part("00", 6.2), part("5", 9.8)];
    expect(partsText(split)).toBe("6.2 s at 00 + 9.8 s at 5");
    expect(partSeconds(split)).toBe("6.2 + 9.8");
    expect(partLights(split)).toBe("00 and 5");
    expect(settingText({}, ...split)).toBe("grade 00, 6.2 s; grade 5, 9.8 s");
  });

  it("has no one time where a head prints with three lights", () => {
    const thirds = [
      { light: "red", seconds: 12.44 },
      { light: "green", seconds: 9 },
    ];
    expect(thirdsText(thirds)).toBe("12.4 s red, 9.0 s green");
    const pack = { light: { notation: "0/58/49" }, seconds: 20 };
    expect(settingText({ pack: { thirds } }, pack)).toBe("0/58/49, its three times");
  });
});
