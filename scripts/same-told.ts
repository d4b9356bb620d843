import { sure, nodeAt } from "../core/index.js";
// What one checkout tells of the cases that `same.ts` draws: `same-told.ts CHECKOUT CASES OUT`.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { Command } from "commander";
import type * as Play from "../cli/play.js";
import type * as Core from "../core/index.js";
import type * as Played from "../core/testing/played.js";
import type * as Schema from "../shape/json-schema.js";
import type * as Read from "../shape/read.js";
import type { Case } from "./same.js";

const [checkout = ".", path = "", out = ""] = process.argv.slice(2);
const load = async <T>(...file: string[]): Promise<T> => import(pathToFileURL(join(checkout, ...file)).href);

const core = await load<typeof Core>("core", "index.ts");
const { addPlay } = await load<typeof Play>("cli", "play.ts");
const { readFrame } = await load<typeof Read>("shape", "read.ts");
const { frameJsonSchema } = await load<typeof Schema>("shape", "json-schema.ts");
const { played } = await load<typeof Played>("core", "testing", "played.ts");

const cases: Case[] = JSON.parse(readFileSync(path, "utf8"));
const file = join(tmpdir(), `same-${process.pid}.frame.json`);
const eventsFile = join(tmpdir(), `same-${process.pid}.events.json`);

/** What a command prints. */
const printedBy = async (...given: string[]): Promise<string> => {
  const program = new Command();
  let text = "";
  const add = (said: string): void => void (text += said);
  addPlay(program, { input: process.stdin, print: add, complain: add, code: 0 });
  // earlier revisions print by themselves
  const { write } = process.stdout;
  process.stdout.write = (part: string | Uint8Array) => {
    text += String(part);
    return true;
  };
  try {
    await program.parseAsync(["node", "handy-frame", ...given]);
  } catch (error) {
    text += String(error);
  } finally {
    process.stdout.write = write;
  }
  return text;
};

const told: Record<string, string[]> = {
  play: [],
  explained: [],
  properties: [],
  ways: [],
  edits: [],
  faults: [],
  settings: [],
  regions: [],
  schema: [JSON.stringify(frameJsonSchema())],
  kept: [],
};
/** A value with its keys in one order, so that where they stand in an object tells nothing. */
const sorted = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      // a fault's code came later
      .filter(([key]) => !(key === "code" && "remedy" in value))
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sorted(inner)]),
  );
};
const put = (what: string, value: unknown): void => void sure(told[what]).push(JSON.stringify(sorted(value)) ?? "");

for (const [i, { frame: text, view: size, on, url, events, edits }] of cases.entries()) {
  writeFileSync(file, text);
  writeFileSync(eventsFile, JSON.stringify(events));
  const options = ["--view", size, "--on", on, "--events", eventsFile, "--regions", ...(url ? ["--url", url] : [])];
  sure(told.play).push(await printedBy("play", file, ...options));

  const read = readFrame(text);
  if (!read.ok) throw new Error("a case is no frame");
  const { frame } = read;
  const [width, height] = size.split("x").map(Number);
  const first = core.viewOf(frame, { width, height, target: on });
  let view = first;
  let at = core.launch(frame, view, {}, url);
  const said: unknown[] = [core.explain(frame, view, null, null, at)];
  for (const event of events) {
    const next = core.step(frame, view, at.state, event);
    said.push(core.explain(frame, view, at, event, next));
    at = next;
    view = core.viewAfter(frame, view, event);
  }
  put("explained", said);
  put("settings", [
    core.settings.map(({ key, label, kinds, input }) => [key, label, kinds, input.sort]),
    core.sharedSettings(frame, Object.keys(frame.nodes)),
    Object.keys(frame.nodes).map((id) => [
      core.alike(frame, { id, parent: core.placesOf(frame, id)[0] ?? null }),
      core.settings
        .filter(({ kinds }) => kinds.includes(nodeAt(frame, id).kind))
        .map((setting) => core.valueSays(frame, setting, core.valueOf(frame, id, setting))),
    ]),
  ]);
  const made: unknown[] = [];
  let now = frame;
  let { state } = at;
  for (const edit of edits) {
    const result = core.applySoundly(now, edit);
    made.push(result.ok ? [result.inverse, result.patches, [...result.touched], result.renamed] : result.faults);
    if (!result.ok) continue;
    made.push(core.differencesOf(now, result.frame));
    const fitted = core.refit(now, result.frame, first, state, result.renamed);
    made.push(core.explainEdit(now, result.frame, first, state, fitted, result.renamed));
    state = fitted;
    now = result.frame;
  }
  put("edits", [made, core.writeFrame(now)]);
  put("regions", core.planLayout(now));
  put(
    "faults",
    damaged(frame).map((each) => core.faultsOf(each)),
  );
  // the rest is slow: every fourth frame stands for all
  if (i % 4 !== 0) continue;
  const ids = Object.keys(frame.nodes);
  const points = new core.Standpoints(frame, first, [core.firstWaysOf(frame, first)]);
  put(
    "properties",
    ids.map((id) => core.propertySays(frame, first, id)),
  );
  put(
    "ways",
    ids.map((id) => [
      core.waysIn(frame, id).map((way) => [way, core.waySays(points, way)]),
      (nodeAt(frame, id).needs ?? []).map((_, n) => core.needSays(frame, first, id, n)),
      core.consequenceSays(now, first, core.consequencesOf(points, points.on(now), id)),
      core.routeTo(frame, first, at.state, id),
    ]),
  );
}

/** The frame with one thing wrong in it, in several ways. */
function damaged(frame: Core.Frame): Core.Frame[] {
  const text = JSON.stringify(frame);
  const copies: Core.Frame[] = [];
  const change = (
    work: (copy: { nodes: Record<string, Record<string, unknown>> } & Record<string, unknown>) => void,
  ) => {
    const copy = JSON.parse(text);
    work(copy);
    copies.push(copy);
  };
  change((copy) => void (copy.root = "nowhere"));
  change(
    (copy) =>
      void (copy.bands = [
        { id: "a", from: 3 },
        { id: "a", from: 9 },
      ]),
  );
  change((copy) => void (copy.facts = []));
  change((copy) => void (copy.targets = [{ id: "one", label: "One" }]));
  change((copy) => void (copy.address = { lost: "nothing" }));
  change((copy) => {
    for (const node of Object.values(copy.nodes)) {
      node.opensIn = { wide: "sheet" };
      node.opensOn = { far: "sheet" };
      node.tab = { only: { bands: ["wide"], facts: { on: "maybe" } }, iconOn: { far: "x" } };
      node.needs = [{ fact: "none", is: true, otherwise: "nobody" }];
      node.motion = { push: "nothing" };
      if (node.kind === "hub")
        Object.assign(node, { faces: { wide: "bar" }, facesOn: { far: { wide: "bar" } }, start: "no" });
      if (node.kind === "pair") Object.assign(node, { splitFrom: "wide" });
      if (node.kind === "screen") Object.assign(node, { path: "no pattern", also: ["/x", "/x/:"], linkIn: "app" });
      if (node.kind === "stack") Object.assign(node, { base: "no", children: [...[node.children].flat(), "gone"] });
    }
  });
  change((copy) => {
    const stacks = Object.entries(copy.nodes).filter(([, node]) => node.kind !== "screen" && node.kind !== "pair");
    for (const [id, node] of stacks) node.children = [...[node.children].flat(), ...stacks.map(([other]) => other), id];
  });
  change((copy) => {
    for (const node of Object.values(copy.nodes)) if (node.kind === "screen") node.path = "/same";
  });
  return copies;
}

const demo = join(checkout, "demo");
for (const name of readdirSync(join(demo, "played"))) {
  const read = readFrame(readFileSync(join(demo, `${name.split(".")[0]}.frame.json`), "utf8"));
  if (read.ok) sure(told.kept).push(played(read.frame, readFileSync(join(demo, "played", name), "utf8")));
}
writeFileSync(out, JSON.stringify(told));
