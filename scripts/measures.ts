import { sure, firstOf } from "../core/index.js";
import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join, relative } from "node:path";
import { gzipSync } from "node:zlib";
import ts from "typescript";

// Prints what can be counted of how the code is written: how often the types are overruled, which functions are long, and
// what of the core's exports says nothing of itself, which exports nobody uses, how heavy the first load of the page is.
// `--list` names the places too. `--hold` ends with 1 where one of them is worse than measures.json has it, and `--keep` writes
// that anew. `--in DIR` measures another checkout.

const folders = ["core", "shape", "server", "web", "cli", "bench", "scripts"];
const longest = 60;
const widest = 160;
/** Percent of all code. */
const shares = { least: 24, most: 34 };
/** What differs from one build to the next though nothing was changed, kB. */
const slack: Record<string, number> = { firstLoadKB: 0.5, firstLoadWithCompanionKB: 0.5 };

const given = process.argv.slice(2);
const root = given.includes("--in") ? sure(given[given.indexOf("--in") + 1]) : ".";
const isListed = given.includes("--list");

const filesIn = (folder: string): string[] =>
  readdirSync(join(root, folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));

interface Place {
  file: string;
  line: number;
  text: string;
}

const casts: Place[] = [];
const bangs: Place[] = [];
const long: (Place & { lines: number })[] = [];
const undocumented: Place[] = [];
let exported = 0;
const lines = { code: 0, tests: 0 };

const linesOf = (text: string): number => text.split("\n").filter((line) => line.trim() !== "").length;

const isFunction = (node: ts.Node): node is ts.FunctionLikeDeclaration =>
  ts.isFunctionDeclaration(node) ||
  ts.isFunctionExpression(node) ||
  ts.isArrowFunction(node) ||
  ts.isMethodDeclaration(node);

/** What a function is called: its own name, else that of the constant it is put into. */
const nameOf = (node: ts.FunctionLikeDeclaration): string => {
  if (node.name) return node.name.getText();
  for (let at: ts.Node = node.parent; at && !ts.isBlock(at); at = at.parent)
    if (ts.isVariableDeclaration(at) || ts.isPropertyAssignment(at)) return at.name.getText();
  return "(without a name)";
};

const isExported = (node: ts.Node): boolean =>
  ts.canHaveModifiers(node) && (ts.getModifiers(node) ?? []).some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);

const isDocumented = (node: ts.Node): boolean => ts.getJSDocCommentsAndTags(node).some(ts.isJSDoc);

const look = (file: string): void => {
  const text = readFileSync(file, "utf8");
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const place = (node: ts.Node, says = firstOf(node.getText().split("\n")).slice(0, 90)): Place => ({
    file,
    line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
    text: says,
  });
  const visit = (node: ts.Node): void => {
    if (ts.isAsExpression(node) && node.type.getText() !== "const") casts.push(place(node));
    if (ts.isNonNullExpression(node)) bangs.push(place(node));
    if (isFunction(node) && file.startsWith(join(root, "web"))) {
      const [from, to] = [node.getStart(), node.end].map((at) => source.getLineAndCharacterOfPosition(at).line);
      const count = sure(to) - sure(from) + 1;
      if (count > longest) long.push({ ...place(node, nameOf(node)), lines: count });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  if (!file.startsWith(join(root, "core")) || file.includes(join("core", "testing"))) return;
  for (const statement of source.statements) {
    if (!isExported(statement)) continue;
    exported += 1;
    if (!isDocumented(statement)) undocumented.push(place(statement));
  }
};

for (const file of [...folders, "e2e", "test"].flatMap(filesIn)) {
  const isTest = /\.test\.|[/\\]testing[/\\]|^(\.[/\\])?(e2e|test)[/\\]/.test(relative(root, file));
  lines[isTest ? "tests" : "code"] += linesOf(readFileSync(file, "utf8"));
  if (!isTest) look(file);
}

/** The scripts a first visit to the plan waits for, and with the companion beside it: kB of gzip, by what the bundler says that each part imports. */
const firstLoad = (): { plan: number; companion: number } => {
  const built = join(root, "dist", "web");
  const manifest: Record<string, { file: string; imports?: string[] }> = JSON.parse(
    readFileSync(join(built, ".vite", "manifest.json"), "utf8"),
  );
  const weigh = (...entries: string[]): number => {
    const all = new Set(entries);
    for (const name of all) for (const other of sure(manifest[name], name).imports ?? []) all.add(other);
    const files = [...all].map((name) => readFileSync(join(built, sure(manifest[name]).file)));
    return Math.round(files.reduce((sum, file) => sum + gzipSync(file).length, 0) / 100) / 10;
  };
  const plan = ["index.html", "app/frame-shell.tsx"];
  return { plan: weigh(...plan), companion: weigh(...plan, "companion/companion.tsx") };
};

/** What is exported and used by nobody else. */
const unused = (): Place[] => {
  const args = ["--include", "exports,types", "--reporter", "json", "--no-exit-code", "--no-progress"];
  const said = execFileSync(process.execPath, [join(root, "node_modules/knip/bin/knip.js"), ...args], {
    cwd: root,
    encoding: "utf8",
  });
  const found: { issues: { file: string; exports: Named[]; types: Named[] }[] } = JSON.parse(said);
  return found.issues.flatMap(({ file, exports, types }) =>
    [...exports, ...types].map(({ name, line }) => ({ file, line, text: name })),
  );
};
interface Named {
  name: string;
  line: number;
}

/** Lines of README and docs that are too long to be read in a terminal; what Markdown cannot break does not count. */
const tooLong = (): Place[] =>
  ["README.md", "CONTRIBUTING.md", ...readdirSync(join(root, "docs")).map((name) => join("docs", name))]
    .filter((name) => name.endsWith(".md"))
    .flatMap((file) => {
      let isCode = false;
      return readFileSync(join(root, file), "utf8")
        .split("\n")
        .flatMap((text, i) => {
          if (text.startsWith("```")) isCode = !isCode;
          const mayBe = isCode || text.startsWith("|");
          return !mayBe && text.length > widest ? [{ file, line: i + 1, text: text.slice(0, 60) }] : [];
        });
    });

const [unusedExports, longLines, load] = [unused(), tooLong(), firstLoad()];
/** What may only get better: the fewer the better, and the lighter. */
const held: Record<string, number> = {
  casts: casts.length,
  assertedNonNull: bangs.length,
  webFunctionsOver60Lines: long.length,
  coreExportsWithoutComment: undocumented.length,
  exportsUsedByNobody: unusedExports.length,
  linesOver160InDocs: longLines.length,
  firstLoadKB: load.plan,
  firstLoadWithCompanionKB: load.companion,
};
const share = (100 * lines.tests) / (lines.tests + lines.code);
console.log(
  JSON.stringify(
    {
      ...held,
      coreExports: exported,
      linesOfCode: lines.code,
      linesOfTests: lines.tests,
      shareOfTests: `${share.toFixed(1)} %`,
    },
    null,
    2,
  ),
);

/** The figures that were reached once. */
const reachedAt = join(root, "measures.json");
if (given.includes("--keep")) writeFileSync(reachedAt, `${JSON.stringify(held, null, 2)}\n`);
if (given.includes("--hold")) {
  const reached: Record<string, number> = JSON.parse(readFileSync(reachedAt, "utf8"));
  for (const [name, now] of Object.entries(held)) {
    const best = reached[name] ?? 0;
    if (now > best + (slack[name] ?? 0)) {
      console.error(`${name} was ${best} and is ${now}. Bring it back: npm run measures -- --list names the places.`);
      process.exitCode = 1;
    } else if (now < best - (slack[name] ?? 0))
      console.log(`${name} is ${now}, better than ${best}: keep it by npm run measures -- --keep.`);
  }
  if (share < shares.least || share > shares.most) {
    console.error(`Tests are ${share.toFixed(1)} % of all code; expected ${shares.least} to ${shares.most} %.`);
    process.exitCode = 1;
  }
}
if (isListed) {
  const print = (title: string, places: readonly (Place & { lines?: number })[]): void => {
    console.log(`\n${title}`);
    for (const { file, line, text, lines: count } of places)
      console.log(`  ${file}:${line} ${text}${count === undefined ? "" : ` (${count} lines)`}`);
  };
  print("Casts", casts);
  print("Asserted non-null", bangs);
  print(
    "Functions in web over 60 lines",
    long.sort((a, b) => b.lines - a.lines),
  );
  print("Exports of core without a comment", undocumented);
  print("Exports that nobody else uses", unusedExports);
  print("Lines of README and docs over 160 letters", longLines);
}
