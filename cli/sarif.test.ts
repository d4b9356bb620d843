import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { text } from "node:stream/consumers";
import ts from "typescript";

const root = join(import.meta.dirname, "..");
const demo = join(root, "demo", "allotment.frame.json");

/** What `check --format sarif` prints of a frame. */
const sarifOf = async (frame: unknown, ...more: string[]): Promise<string> => {
  const args = [join(root, "bin", "handy-frame"), "check", "-", "--format", "sarif", ...more];
  const child = spawn(process.execPath, args, { stdio: ["pipe", "pipe", "ignore"] });
  child.stdin.end(typeof frame === "string" ? frame : JSON.stringify(frame, null, 2));
  return text(child.stdout);
};

/** What the types made of the standard's schema have against a log, every key and value of it looked at. */
const against = (log: string): string[] => {
  const name = join(root, "cli", "a-log.ts");
  const source = `import type { Log } from "sarif";\nexport const log: Log = ${log};\n`;
  const options: ts.CompilerOptions = {
    strict: true,
    noEmit: true,
    skipLibCheck: true,
    types: [],
    module: ts.ModuleKind.NodeNext,
  };
  const host = ts.createCompilerHost(options);
  const { getSourceFile, fileExists, readFile } = host;
  host.getSourceFile = (file, version) =>
    file === name ? ts.createSourceFile(file, source, version) : getSourceFile.call(host, file, version);
  host.fileExists = (file) => file === name || fileExists.call(host, file);
  host.readFile = (file) => (file === name ? source : readFile.call(host, file));
  const program = ts.createProgram([name], options, host);
  return ts.getPreEmitDiagnostics(program).map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, "\n"));
};

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
  expect(against('{ "version": "2.1.0", "runs": [{ "tool": { "driver": { "name": "x", "zoo": 1 } } }] }')).toHaveLength(
    1,
  );
  expect(
    against(
      '{ "version": "2.1.0", "runs": [{ "tool": { "driver": { "name": "x" } }, "results": [{ "message": {}, "level": "bad" }] }] }',
    ),
  ).toHaveLength(1);
}, 60_000);
