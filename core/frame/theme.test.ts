import fc from "fast-check";
import { markOf } from "./sizes.js";
import { type Mark, marks } from "./parts.js";
import { colourPairs, contrastOf, defaultColours, inkOn, luminanceOf } from "./theme.js";

const anyHex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);

describe("contrast, as WCAG 2.2 has it", () => {
  test("black on white is 21, a colour on itself 1, grey 118 on white just enough for text", () => {
    expect(contrastOf("#000000", "#FFFFFF")).toBeCloseTo(21, 10);
    expect(contrastOf("#3D5A80", "#3d5a80")).toBe(1);
    expect(contrastOf("#767676", "#fff")).toBeCloseTo(4.54, 2);
    expect(contrastOf("#777777", "#fff")).toBeLessThan(4.5);
    expect(luminanceOf("#808080")).toBeCloseTo(0.2159, 4);
  });
  test("does not depend on the order, and lies between 1 and 21", () => {
    fc.assert(
      fc.property(anyHex, anyHex, (a, b) => {
        expect(contrastOf(a, b)).toBe(contrastOf(b, a));
        expect(contrastOf(a, b)).toBeGreaterThanOrEqual(1);
        expect(contrastOf(a, b)).toBeLessThanOrEqual(21.0001);
      }),
    );
  });
  test("the ink of a badge is always read on it", () => {
    fc.assert(fc.property(anyHex, (badge) => expect(contrastOf(inkOn(badge), badge)).toBeGreaterThanOrEqual(4.3)));
  });
  test("the colours an app gets by default are enough in both themes", () => {
    for (const palette of Object.values(defaultColours))
      for (const mark of marks) expect(colourPairs(palette, mark).filter((pair) => !pair.enough)).toEqual([]);
  });
  test("the chosen tab is judged by what it stands on, as it is marked", () => {
    const ids = (mark: Mark) => colourPairs(defaultColours.light, mark).map(({ id }) => id);
    expect(ids("tooth")).toEqual(expect.arrayContaining(["barActive-page", "barInk-page"]));
    expect(ids("tooth")).not.toContain("barActive-bar");
    expect(ids("fill")).toContain("barActive-mark");
    expect(ids("line")).toContain("barActive-bar");
    expect(markOf({})).toBe("tooth");
  });
  test("a pair just under its limit is called too faint", () => {
    const [pair] = colourPairs({ ...defaultColours.light, ink: "#777777", page: "#FFFFFF" }, "none");
    expect(pair).toMatchObject({ id: "ink-page", ratio: 4.47, enough: false });
  });
});
