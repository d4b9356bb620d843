import { readFileSync } from "node:fs";
import { join } from "node:path";
import Draft4 from "ajv-draft-04";
import type { ErrorObject } from "ajv";
import addFormats from "ajv-formats";
import { quickCommands } from "./commands.js";
import { ran, root } from "./testing/ran.js";

const demo = join(root, "demo", "allotment.frame.json");

/** What `check --format sarif` prints of a frame. */
const sarifOf = async (frame: unknown, ...more: string[]): Promise<string> => {
  const input = typeof frame === "string" ? frame : JSON.stringify(frame, null, 2);
  return (await ran(["check", "-", "--format", "sarif", ...more], quickCommands, input)).out;
};

// the standard's own schema, which the package ships
const schema = JSON.parse(
  readFileSync(join(root, "node_modules/@microsoft/jest-sarif/lib/schemas/sarif-2.1.0-rtm.5.json"), "utf8"),
);
// a pattern of it is none for a reader of Unicode
const reader = new Draft4({ strict: false, allErrors: true, unicodeRegExp: false });
addFormats.default(reader);
const accepts = reader.compile(schema);

/** What the schema of SARIF 2.1.0 has against a log, every key and value of it looked at. */
const against = (log: string): string[] =>
  accepts(JSON.parse(log))
    ? []
    : (accepts.errors ?? []).map(({ instancePath, message }: ErrorObject) => `${instancePath} ${message}`);

const frame = JSON.parse(readFileSync(demo, "utf8"));

test("findings are a log of SARIF 2.1.0, each with its rule, its severity, and its line in the file", async () => {
  const changed = structuredClone(frame);
  changed.nodes.late = { kind: "screen" };
  changed.quiet = [{ rule: "loose", node: "late", why: "Comes next." }];
  const printed = await sarifOf(changed, "--walk");
  expect(against(printed)).toEqual([]);
  const [run] = JSON.parse(printed).runs;
  const results = run.results as any[];
  for (const { ruleId, ruleIndex } of results) expect(run.tool.driver.rules[ruleIndex].id).toBe(ruleId);
  const lines = JSON.stringify(changed, null, 2).split("\n");
  const late = results.find(({ ruleId }) => ruleId === "loose");
  expect(late).toMatchObject({ level: "warning", suppressions: [{ kind: "inSource", justification: "Comes next." }] });
  expect(lines[late.locations[0].physicalLocation.region.startLine - 1]).toContain('"late": {');
  expect(results.filter(({ level }) => level === "note").length).toBeGreaterThan(0);
}, 60_000);

test("so are the faults of a file that is no sound frame", async () => {
  const printed = await sarifOf({ ...frame, zoo: 1 });
  expect(against(printed)).toEqual([]);
  expect(JSON.parse(printed).runs[0].results).toMatchObject([
    { level: "error", locations: [{ logicalLocations: [{ fullyQualifiedName: "/zoo" }] }] },
  ]);
}, 60_000);

test("what the standard does not have would be found", () => {
  const log = (driver: object, ...results: object[]) =>
    JSON.stringify({ version: "2.1.0", runs: [{ tool: { driver: { name: "x", ...driver } }, results }] });
  expect(against(log({}))).toEqual([]);
  expect(against(log({ zoo: 1 }))).toEqual(["/runs/0/tool/driver must NOT have additional properties"]);
  expect(against(log({ informationUri: "no address" }))).toEqual([
    '/runs/0/tool/driver/informationUri must match format "uri"',
  ]);
  expect(against(log({}, { message: {}, level: "bad" })).length).toBeGreaterThan(1);
});
