import { fillPattern, readPattern } from "./pattern.js";

const pattern = (text: string) => {
  const result = readPattern(text);
  if (!result.ok) throw new Error(result.reason);
  return result.pattern;
};

describe("address patterns", () => {
  test.each([
    ["plots", "a pattern starts with /"],
    ["/a//b", "there is an empty segment (//)"],
    ["/a/*/b", "* stands only at the end"],
    ["/:x?/b", ":x? may be left out only at the end"],
    ["/:x/:x", ":x stands twice"],
    ["/:", ": is no name: letters, digits and _ after the colon"],
    ["/a(b)", "a(b) is neither a plain word nor :name nor *"],
  ])("%s cannot be read, and it is said why", (text, reason) =>
    expect(readPattern(text)).toEqual({ ok: false, reason }),
  );

  test("a slash at the end means nothing", () => expect(pattern("/a/").shapes).toEqual(pattern("/a").shapes));
  test("the rest is the param 0", () => expect(pattern("/a/:x/*").names).toEqual(["x", "0"]));

  test("filled in, params are percent-encoded", () => {
    expect(fillPattern(pattern("/a/:x"), { x: "ä b/c" })).toBe("/a/%C3%A4%20b%2Fc");
    expect(fillPattern(pattern("/a/*"), { 0: "b/c d" })).toBe("/a/b/c%20d");
    expect(fillPattern(pattern("/"), {})).toBe("/");
  });
  test("a param it must have and has not makes no address; one at the end may be left out", () => {
    expect(fillPattern(pattern("/a/:x"), {})).toBeNull();
    expect(fillPattern(pattern("/a/:x"), { x: "" })).toBeNull();
    expect(fillPattern(pattern("/a/:x?"), {})).toBe("/a");
    expect(fillPattern(pattern("/a/:constructor"), {})).toBeNull();
  });
});
