import {
  readNames,
  readRests,
  readTemplate,
  wrongBadge,
  wrongHex,
  wrongNames,
  wrongRests,
  wrongTemplate,
  wrongWhole,
} from "./wrong.js";

describe("what was typed is taken only when it can be, and else it is said what is expected", () => {
  test("a whole number in its range", () => {
    const wrong = wrongWhole(2, 40);
    expect([wrong("2"), wrong(" 40 ")]).toEqual([null, null]);
    for (const bad of ["1", "41", "", "3.5", "-4", "many", "1e1", "99999999"])
      expect(wrong(bad)).toBe("a whole number from 2 to 40");
    expect(wrongWhole(0, 9, true)("")).toBeNull();
    expect(wrongWhole(0, 9, true)("x")).toMatch("or nothing");
  });
  test("a colour", () => {
    for (const good of ["", "#abc", "2F6B3A", " #2f6b3a "]) expect(wrongHex(good)).toBeNull();
    for (const bad of ["#12", "red", "#12345g", "#1234567"]) expect(wrongHex(bad)).toMatch("a colour such as");
  });
  test("a badge", () => {
    for (const good of ["", "dot", "3"]) expect(wrongBadge(good)).toBeNull();
    for (const bad of ["dots", "-1", "123456"]) expect(wrongBadge(bad)).toMatch("dot, or nothing");
  });
  test("resting heights rise", () => {
    expect(readRests("50, 86")).toEqual([0.5, 0.86]);
    expect(readRests("60 %")).toEqual([0.6]);
    expect(readRests("1 100")).toEqual([0.01, 1]);
    for (const bad of ["", "86, 50", "50, 50", "0", "101", "half", "50, x"]) {
      expect(readRests(bad)).toBeNull();
      expect(wrongRests(bad)).toMatch("each higher than the one before");
    }
  });
  test("named values are kept whole, and none is lost for another that is misspelt", () => {
    expect(readTemplate("a = 1; b = {draft.x} and so on;")).toEqual({ a: "1", b: "{draft.x} and so on" });
    expect(readTemplate("")).toEqual({});
    expect(readTemplate("a = ")).toEqual({ a: "" });
    for (const bad of ["a", "a = 1; b", "1a = 2", "a = 1; a = 2", "= 3"]) {
      expect(readTemplate(bad)).toBeNull();
      expect(wrongTemplate(bad)).toMatch("name = value");
    }
  });
  test("names in a row, each once", () => {
    expect(readNames("litres, when litres")).toEqual(["litres", "when"]);
    expect(readNames("")).toEqual([]);
    expect(wrongNames("two words, 3rd")).toMatch("names of letters");
  });
});
