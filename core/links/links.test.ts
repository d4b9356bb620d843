import { applySoundly } from "../edit/apply.js";
import { faultsOf } from "../faults/faults.js";
import { viewOf } from "../frame/view.js";
import { startingShapes } from "../starts/starts.js";
import { frameOf, run, screen, stack, tabbed } from "../testing/frames.js";
import { unlike } from "./expect.js";
import { proposeAddresses } from "./propose.js";
import { addressRows } from "./rows.js";
import { caseOf, runCase, tryEverywhere, tryLink } from "./trial.js";

const signIn = startingShapes.find(({ id }) => id === "signIn")!.frame;
const view = viewOf(signIn);

describe("trying a link", () => {
  test("cold it lays its way, running it is opened where the app lands", () => {
    const facts = { signedIn: true };
    expect(tryLink(signIn, view, "/home/4", { start: "cold", facts }).snapshot).toMatchObject({
      top: "item",
      params: { item: "4" },
    });
    const running = tryLink(signIn, view, "/home/4", { start: "running", facts });
    expect([running.before === null, running.snapshot.back]).toEqual([false, ["home", "exit"]]);
  });
  test("in every way there is, the same outcome has the same number", () => {
    const { facts, rows, numbers } = tryEverywhere(signIn, view, "/home/4");
    expect(facts).toEqual([{ signedIn: false }, { signedIn: true }]);
    expect(rows.map(({ cold, running }) => [numbers.get(cold), numbers.get(running)])).toEqual([
      [1, 1],
      [2, 2],
    ]);
    expect(rows[0]!.cold.snapshot).toMatchObject({ top: "welcome", pending: { to: "item" } });
  });
});

describe("a kept case", () => {
  const kept = caseOf(signIn, "four", "/home/4", { start: "cold", facts: { signedIn: true } });
  test("keeps the screen, its params and the ladder, and the facts that are not as at a launch", () => {
    expect(kept).toEqual({
      id: "four",
      url: "/home/4",
      start: "cold",
      facts: { signedIn: true },
      see: { top: "item", params: { item: "4" }, back: ["home", "exit"] },
    });
    expect(runCase(signIn, kept).unlike).toEqual([]);
  });
  test("says where it comes out otherwise once the frame has changed", () => {
    const bare = applySoundly(signIn, { kind: "set", node: "homeTab", key: "base", value: null });
    if (!bare.ok) throw new Error();
    expect(runCase(bare.frame, kept).unlike).toEqual([
      { pointer: "/back", received: '["exit"]', expected: '["home","exit"]' },
    ]);
  });
  test("of objects only what is named counts, lists count whole", () => {
    expect(unlike({ a: { b: 1, c: 2 }, d: [1, 2] }, { a: { b: 1 }, d: [1] }).map(({ pointer }) => pointer)).toEqual([
      "/d",
    ]);
    expect(unlike({ a: null }, { a: { b: 1 } })).toHaveLength(1);
    expect(unlike({}, { a: undefined })).toEqual([]);
  });
});

test("every address has a sample, and what a link to it is laid on", () => {
  const rows = addressRows(signIn, view);
  expect(rows.map(({ screen, sample, laidOn, needs }) => [screen, sample, laidOn, needs.length])).toEqual([
    ["home", "/home", [], 1],
    ["item", "/home/3", ["home"], 1],
    ["me", "/me", [], 1],
  ]);
});

describe("addresses brought in", () => {
  const blank = startingShapes[0]!.frame;
  const given = (...texts: string[]) => texts.map((address, i) => ({ address, line: i + 1 }));
  const found = (...texts: string[]) =>
    proposeAddresses(blank, given(...texts)).found.map(({ pattern, count, whole }) => [
      pattern.text,
      count,
      whole.join(),
    ]);

  test("numbers and long names with digits are values, many words in one place too", () => {
    expect(found("/books", "/books/1", "/books/22", "/books/1/notes/8")).toEqual([
      ["/books", 1, ""],
      ["/books/:book", 2, "book"],
      ["/books/:book/notes/:note", 1, "book,note"],
    ]);
    expect(found(..."abcdef".split("").map((name) => `/helpers/${name}`))).toEqual([["/helpers/:helper", 6, ""]]);
    expect(found("/people/new", "/people/all")).toEqual([
      ["/people/new", 1, ""],
      ["/people/all", 1, ""],
    ]);
    expect(found("/posts/:slug", "/posts/2024-a-wet-year")).toEqual([["/posts/:slug", 2, ""]]);
  });
  test("they make tabs with stacks of their own, sound, reached by a link with its way laid", () => {
    const { planned, frame } = proposeAddresses(
      blank,
      given("https://books.example/books", "/books/1", "/books/1/notes/2", "/about"),
    );
    expect(faultsOf(frame)).toEqual([]);
    const made = applySoundly(blank, planned!.edit);
    expect(made.ok && made.frame).toEqual(frame);
    expect(run(frame, { do: "link", url: "/books/1/notes/2", start: "cold" })).toMatchObject({
      trail: ["books", "book", "note"],
    });
    expect(run(frame, { do: "link", url: "/books/zoo", start: "cold" }).codes).toContain("ignored");
  });
  test("what begins as a screen that is there goes into its stack; what is there already is said, and not made", () => {
    const frame = tabbed();
    const proposal = proposeAddresses(frame, given("/a", "/a/:item", "/a/3/deep/4"));
    expect(proposal.found.map(({ there }) => there)).toEqual(["a", "item", null]);
    expect(proposal.frame.nodes.aTab).toMatchObject({ children: ["a", "item", "deep", "deep2"] });
    expect(proposeAddresses(frame, given("/a")).planned).toBeNull();
  });
  test("what is no address is told with its line, and the rest is taken", () => {
    const { unread, found: rest } = proposeAddresses(
      blank,
      given("zoo", "/a/%E0%A4%A", `/${"x/".repeat(30)}`, "javascript:alert(1)", "/fine"),
    );
    expect(unread.map(({ line }) => line)).toEqual([1, 2, 3, 4]);
    expect(rest.map(({ pattern }) => pattern.text)).toEqual(["/fine"]);
  });
  test("thousands at once, odd signs and long titles make a sound frame", () => {
    const many = Array.from({ length: 6000 }, (_, i) => ({
      address: `/s${i % 40}/${i}/p(${i % 3})*`,
      title: `= "${"x".repeat(300)}" ^`,
      line: i,
    }));
    const { frame, unread, planned } = proposeAddresses(frameOf({ app: stack(["a"]), a: screen() }), many);
    expect(faultsOf(frame)).toEqual([]);
    expect(unread).toHaveLength(1);
    expect(planned).not.toBeNull();
  });
});
