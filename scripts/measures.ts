import { sure, firstOf } from "../core/index.js";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";

// Prints what can be counted of how the code is written: how often the types are overruled, which functions are long, and
// what of the core's exports says nothing of itself. `--list` names the places too. `--in DIR` measures another checkout.

const folders = ["core", "shape", "server", "web", "cli", "bench", "scripts"];
const longest = 60;

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

for (const file of [...folders, "e2e"].flatMap(filesIn)) {
  const isTest = file.includes(".test.") || file.includes(join(root, "e2e")) || file.includes("testing");
  lines[isTest ? "tests" : "code"] += linesOf(readFileSync(file, "utf8"));
  if (!isTest) look(file);
}

const documented = exported - undocumented.length;
console.log(
  JSON.stringify(
    {
      casts: casts.length,
      assertedNonNull: bangs.length,
      webFunctionsOver60: long.length,
      coreExports: exported,
      coreExportsDocumented: `${((100 * documented) / exported).toFixed(1)} %`,
      linesOfCode: lines.code,
      linesOfTests: lines.tests,
      shareOfTests: `${((100 * lines.tests) / (lines.tests + lines.code)).toFixed(1)} %`,
    },
    null,
    2,
  ),
);
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
}
