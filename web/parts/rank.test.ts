import fc from "fast-check";
import { anyText } from "../../core/testing/text.js";
import { ranked } from "./rank.js";

const all = [
  { label: "Share with a stack", says: "the screen stands in both" },
  { label: "Make a sheet", says: "laid over what is there" },
  { label: "Take out", says: "what it holds stays" },
  { label: "Wrap in tabs" },
  { label: "Crème brûlée" },
];
const found = (text: string) => ranked(all, text).map(({ label }) => label);

describe("a list that is filtered by typing", () => {
  test("is whole and in its order while nothing is typed", () => {
    expect(found("")).toEqual(all.map(({ label }) => label));
    expect(found("   ")).toEqual(found(""));
  });
  test("has what begins so before what has it in a later word, and that before what is said of it", () => {
    expect(found("ta")).toEqual(["Take out", "Wrap in tabs", "Share with a stack"]);
    expect(found("over")).toEqual(["Make a sheet"]);
  });
  test("takes words in any order, and letters with or without marks", () => {
    expect(found("sheet make")).toEqual(["Make a sheet"]);
    expect(found("creme BRU")).toEqual(["Crème brûlée"]);
    expect(found("stays out")).toEqual(["Take out"]);
  });
  test("is empty where nothing answers", () => {
    expect(found("tabs sheet")).toEqual([]);
    expect(found("((")).toEqual([]);
  });
  test("has nothing in it that was not there, and finds each thing by its own label first or among its equals", () => {
    const label = anyText({ minLength: 1, maxLength: 12 }).filter((text) => text.trim() !== "");
    fc.assert(
      fc.property(fc.array(label, { minLength: 1, maxLength: 8 }), fc.nat(), fc.string(), (labels, n, text) => {
        const things = labels.map((each) => ({ label: each }));
        for (const each of ranked(things, text)) expect(things).toContain(each);
        const wanted = things[n % things.length]!;
        expect(ranked(things, wanted.label)).toContain(wanted);
      }),
    );
  });
});
