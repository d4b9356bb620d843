import { build } from "esbuild";
import { readdirSync, readFileSync } from "node:fs";
import { dirname, join, normalize } from "node:path";

const root = join(import.meta.dirname, "..");

const folders = ["core", "shape", "server", "web", "cli"];
const files = folders.flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !file.includes("public/"))
    .map((file) => `${folder}/${file}`),
);
const isTest = (file: string): boolean => file.includes(".test.") || file.includes("/testing/");
const isIndex = (file: string): boolean => /(^|\/)index\.tsx?$/.test(file);
const textOf = new Map(files.map((file) => [file, readFileSync(join(root, file), "utf8")]));

/** What a file says it imports or exports from, types included, as it is written. */
const namedIn = (file: string): string[] =>
  [
    ...textOf.get(file)!.matchAll(/(?:^|\n)\s*(?:import|export)\b[^"'`;]*?\bfrom\s+"([^"]+)"|\bimport\("([^"]+)"\)/g),
  ].map(([, named, loaded]) => (named ?? loaded)!);

/** The file of the project that a name stands for. */
const fileOf = (from: string, name: string): string | undefined => {
  const path = normalize(join(dirname(from), name)).replace(/\.js$/, "");
  return [`${path}.ts`, `${path}.tsx`].find((each) => textOf.has(each));
};
const importsOf = new Map(
  files.map((file) => [
    file,
    namedIn(file).flatMap((name) => (name.startsWith(".") ? (fileOf(file, name) ?? []) : [])),
  ]),
);

/** What each folder may import from, types too. */
const allowed: Record<string, string[]> = {
  core: ["core"],
  shape: ["shape", "core"],
  server: ["server", "shape", "core"],
  cli: ["cli", "server", "shape", "core"],
  web: ["web", "core"],
};

/** The folders of the core, lowest first: each may import from itself and from those before it. */
const coreOrder = [
  "frame",
  "faults",
  "address",
  "edit",
  "plan",
  "settings",
  "outline",
  "starts",
  "navigate",
  "observe",
  "arrange",
  "motion",
  "walk",
  "explore",
  "find",
  "says",
  "change",
  "links",
  "tuning",
  "routes",
  "sizes",
  "survive",
  "check",
  "journey",
  "handoff",
];
const coreFolder = (file: string): string => file.split("/")[1]!;

test("every import of the project is found", () => {
  expect(files.length).toBeGreaterThan(300);
  const missing = files.flatMap((file) =>
    namedIn(file)
      .filter((name) => name.startsWith(".") && !/\.(css|json)$/.test(name) && fileOf(file, name) === undefined)
      .map((name) => `${file} imports ${name}`),
  );
  expect(missing).toEqual([]);
});

test("imports run one way, from the hosts to the core, types too", () => {
  const wrong = files.flatMap((file) =>
    importsOf
      .get(file)!
      .filter((other) => !isTest(file) && !allowed[file.split("/")[0]!]!.includes(other.split("/")[0]!))
      .map((other) => `${file} imports ${other}`),
  );
  expect(wrong).toEqual([]);
});

test("inside the core imports run down the list of its folders, types too", () => {
  const core = files.filter((file) => file.startsWith("core/") && file !== "core/index.ts" && !isTest(file));
  expect([...new Set(core.map(coreFolder))].sort()).toEqual([...coreOrder].sort());
  const wrong = core.flatMap((file) =>
    importsOf
      .get(file)!
      .filter((other) => coreOrder.indexOf(coreFolder(other)) > coreOrder.indexOf(coreFolder(file)) || isTest(other))
      .map((other) => `${file} imports ${other}`),
  );
  expect(wrong).toEqual([]);
});

test("the core imports nothing but itself, types too", () => {
  const wrong = files
    .filter((file) => file.startsWith("core/") && !isTest(file))
    .flatMap((file) => namedIn(file).filter((name) => !name.startsWith(".")));
  expect(wrong).toEqual([]);
});

test("nothing imports in a circle, types too", () => {
  const done = new Set<string>();
  const circles: string[] = [];
  const walk = (file: string, path: string[]): void => {
    if (path.includes(file)) return void circles.push([...path.slice(path.indexOf(file)), file].join(" → "));
    if (done.has(file)) return;
    for (const other of importsOf.get(file)!) walk(other, [...path, file]);
    done.add(file);
  };
  for (const file of files) walk(file, []);
  expect(circles).toEqual([]);
});

test("the core knows nothing of the machine it runs on", async () => {
  const { outputFiles } = await build({
    absWorkingDir: root,
    entryPoints: ["core/index.ts"],
    bundle: true,
    write: false,
    format: "esm",
    platform: "neutral",
  });
  const text = outputFiles[0]!.text;
  expect(text).not.toMatch(/\b(document|window|process|Date\.now|performance\.now|Math\.random|setTimeout)\b\s*[.(]/);
});

test("every folder of the core says in its index what it gives, name by name, and who is outside takes it from there", () => {
  const indexes = files.filter(isIndex).sort();
  expect(indexes).toEqual(["core/index.ts", ...coreOrder.map((folder) => `core/${folder}/index.ts`)].sort());
  for (const index of indexes) {
    const left = textOf.get(index)!.replaceAll(/export (?:type )?\{[^}*]+\} from "\.\/[\w/-]+\.js";\n/g, "");
    expect([index, left.trim()]).toEqual([index, ""]);
  }
  expect(importsOf.get("core/index.ts")!.every(isIndex)).toBe(true);
  // inside, files name one another: an index that is read there would close a circle
  const within = files.filter((file) => file.startsWith("core/") && !isIndex(file));
  expect(within.filter((file) => importsOf.get(file)!.some(isIndex))).toEqual([]);
});
