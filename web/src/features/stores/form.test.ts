import { describe, expect, it } from "vitest";
import { length } from "../../shared/units/length";
import { read, written } from "./form";
import type { Fact } from "./shelves";

const FACTS: readonly Fact[] = [
  { name: "name", label: "Name", as: "text" },
  { name: "longMm", label: "Long side", as: "length" },
  { name: "marksPerStop", label: "Clicks", as: "choice", options: [], first: "2" },
  { name: "pieces", label: "Pieces", as: "number" },
  { name: "dials", label: "Dials", as: "yes" },
  { name: "strengths", label: "Strengths", as: "numbers" },
];

describe("the form of a thing", () => {
  it("shows lengths in the unit its user likes, and takes them back", () => {
    const texts = written(FACTS, { name: "Drum", longMm: 254, marksPerStop: "3", dials: true }, "in");
    expect(texts["longMm"]).toBe("10");
    expect(read(FACTS, texts, "in").body).toEqual({
      name: "Drum",
      longMm: 254,
      marksPerStop: 3,
      dials: true,
    });
  });

  it("shows numbers as they are typed", () => {
    expect(written(FACTS, { strengths: [2.5, 10] }, "in")["strengths"]).toBe("2.5, 10");
    expect(read(FACTS, { strengths: "5,10,20" }, "in").body["strengths"]).toEqual([5, 10, 20]);
    expect(read(FACTS, { strengths: " " }, "in").body).not.toHaveProperty("strengths");
    expect(read(FACTS, { strengths: "5, red" }, "in").problems).toEqual({
      strengths: "“red” is not a number.",
    });
  });

  it("takes a typed unit whichever is shown", () => {
    const texts = { name: "Drum", longMm: "25.4 cm", marksPerStop: "", pieces: "" };
    expect(read(FACTS, texts, "in").body["longMm"]).toBe(254);
    expect(read(FACTS, { ...texts, longMm: "20" }, "cm").body["longMm"]).toBe(200);
  });

  it("begins with what is usual, and says at its field what is no number", () => {
    expect(written(FACTS, undefined, "cm")["marksPerStop"]).toBe("2");
    const { body, problems } = read(FACTS, { name: "", pieces: "some" }, "cm");
    expect(problems).toEqual({ pieces: "“some” is not a number." });
    expect(body).not.toHaveProperty("pieces");
    expect(body["name"]).toBe("");
    expect(read(FACTS, { name: "" }, "cm", true).body).not.toHaveProperty("name");
    expect(length(203.2, "in")).toBe("8");
  });
});
