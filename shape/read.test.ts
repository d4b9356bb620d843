import { readFileSync } from "node:fs";
import { join } from "node:path";
import { Ajv2020 } from "ajv/dist/2020.js";
import { writeFrame } from "../core/index.js";
import { tabbed } from "../core/testing/frames.js";
import { frameJsonSchema } from "./json-schema.js";
import { readFrame } from "./read.js";

const root = join(import.meta.dirname, "..");
const demo = readFileSync(join(root, "demo", "allotment.frame.json"), "utf8");
const faults = (text: string): string[] => {
  const result = readFrame(text);
  return result.ok
    ? []
    : result.faults.map((fault) => `${fault.pointer} received ${fault.received}; expected ${fault.expected}`);
};
/** The demo with something in it changed. */
const changed = (change: (frame: any) => void): string => {
  const frame = JSON.parse(demo);
  change(frame);
  return JSON.stringify(frame);
};

describe("reading a frame file", () => {
  test.each(["allotment", "night-sky", "repair-cafe"])("the demo %s is sound, and is written as it is kept", (name) => {
    const text = readFileSync(join(import.meta.dirname, "..", "demo", `${name}.frame.json`), "utf8");
    const result = readFrame(text);
    if (!result.ok) throw new Error(JSON.stringify(result.faults));
    expect(writeFrame(result.frame)).toBe(text);
  });
  test("what is written is read again", () => {
    expect(readFrame(writeFrame(tabbed()))).toMatchObject({ ok: true });
  });
  test("faults of form and of meaning are said together, each once", () => {
    const text = changed((frame) => {
      frame.zoo = 1;
      frame.nodes.plot.titel = "Plot";
      frame.nodes.plot.body.rows = "9";
      frame.nodes.task.actions[0].do.to = "nowhere";
      frame.nodes.home.keep = "forever";
    });
    expect(faults(text).sort()).toEqual([
      '/nodes/home/keep received "forever"; expected one of "live", "place", "fresh"',
      '/nodes/plot/body/rows received "9"; expected a number',
      '/nodes/plot/titel received the unknown key "titel"; expected a key of the format',
      '/nodes/task/actions/0/do/to received "nowhere", which is not in nodes; expected the id of a node of the frame',
      '/zoo received the unknown key "zoo"; expected a key of the format',
    ]);
  });
  test("text that is no JSON is told by line and column", () => {
    expect(faults('{\n  "format": "handy-frame/1",\n  oops\n}')).toEqual([
      " received a text that is not JSON: invalid symbol at line 3, column 3; expected JSON",
    ]);
    expect(faults("")[0]).toMatch("it is empty");
    expect(faults("[]")[0]).toMatch("expected an object");
  });
  test("a file over 4 MB is refused before it is parsed", () => {
    expect(faults(`"${"x".repeat(5 * 1024 * 1024)}"`)).toEqual([" received 5.0 MB; expected at most 4 MB"]);
  });
  test("__proto__ as an id is refused, and nothing is lost silently", () => {
    expect(faults(demo.replace('"photo": {', '"__proto__": {'))).toEqual([
      "/nodes/__proto__ received the key __proto__; expected an id or a key of the format",
    ]);
    expect(faults(changed((frame) => (frame.nodes.toString = { kind: "screen" })))[0]).toMatch("/nodes/toString");
  });
  test("ids have their form, everywhere", () => {
    expect(faults(changed((frame) => (frame.nodes["No id"] = { kind: "screen" })))).toEqual([
      expect.stringContaining("/nodes/No id received"),
    ]);
  });
  test("what a ladder ends with is no id", () => {
    for (const id of ["exit", "stay", "loop"]) {
      const [fault, ...others] = faults(changed((frame) => (frame.nodes[id] = { kind: "screen" })));
      expect([fault, others]).toEqual([expect.stringContaining(`/nodes/${id} received`), []]);
    }
  });
  test("10,000 nested stacks are one fault, at once", () => {
    const nodes: Record<string, unknown> = { app: { kind: "stack", children: ["n0"] }, n9999: { kind: "screen" } };
    for (let i = 0; i < 9999; i += 1) nodes[`n${i}`] = { kind: "stack", children: [`n${i + 1}`] };
    expect(faults(JSON.stringify({ format: "handy-frame/1", name: "Deep", root: "app", nodes }))).toHaveLength(1);
  });
  test("JSON that nests without end is one fault, at once", () => {
    const nest = (n: number) =>
      `${'{"kind":"set","fact":"on","is":true,"then":'.repeat(n)}{"kind":"back"}${"}".repeat(n)}`;
    const text = (n: number) =>
      `{"format":"handy-frame/1","name":"Deep","root":"app","facts":[{"id":"on","label":"On"}],"nodes":{"app":{"kind":"stack","children":["s"]},` +
      `"s":{"kind":"screen","actions":[{"id":"x","label":"X","place":"body","do":${nest(n)}}]}}}`;
    expect(faults(text(30_000))).toEqual([
      " received lists and objects over 100 deep; expected at most 100 in one another",
    ]);
    expect(faults("[".repeat(100_000) + "]".repeat(100_000))).toHaveLength(1);
    expect(faults(text(80))).toEqual([]);
  });
  test("actions may set one fact after another, to any depth, and a wrong one is found there", () => {
    const nest = (to: string) => ({
      kind: "set",
      fact: "on",
      is: true,
      then: { kind: "set", fact: "on", is: false, then: { kind: "open", to } },
    });
    const withDo = (to: unknown) =>
      changed((frame) => {
        frame.facts.push({ id: "on", label: "On" });
        frame.nodes.me.actions[0].do = nest(to as string);
      });
    expect(faults(withDo("plot"))).toEqual([]);
    expect(faults(withDo(7))).toEqual(["/nodes/me/actions/0/do/then/then/to received 7; expected a text"]);
  });
});

describe("the published schema", () => {
  const published = JSON.parse(readFileSync(join(root, "docs", "frame.schema.json"), "utf8"));
  test("is what the reader's own schema makes", () => expect(published).toEqual(frameJsonSchema()));
  test("accepts the demo, and refuses what the reader refuses", () => {
    const accepts = new Ajv2020({ strict: false }).compile(published);
    expect(accepts(JSON.parse(demo))).toBe(true);
    expect(accepts(JSON.parse(changed((frame) => (frame.nodes.plot.titel = "Plot"))))).toBe(false);
    expect(accepts(JSON.parse(changed((frame) => (frame.nodes.plot.kind = "page"))))).toBe(false);
  });
});
