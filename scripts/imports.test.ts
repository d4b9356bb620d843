import { build } from "esbuild";
import { readdirSync } from "node:fs";
import { join } from "node:path";

const root = join(import.meta.dirname, "..");

/** Every file of the project with the files of the project it imports, types included. */
const importsOf = async (): Promise<Map<string, string[]>> => {
  const { inputs } = (
    await build({
      absWorkingDir: root,
      entryPoints: ["core/index.ts", "cli/main.ts", "server/serve.ts", "web/main.tsx", "shape/json-schema.ts"],
      bundle: true,
      write: false,
      metafile: true,
      packages: "external",
      outdir: "out",
      format: "esm",
      external: ["*.css", "tailwindcss", "@fontsource-variable/*"],
      logLevel: "silent",
    })
  ).metafile;
  return new Map(
    Object.entries(inputs).map(([file, input]) => [
      file,
      input.imports.filter((each) => !each.external).map((each) => each.path),
    ]),
  );
};

/** What each folder may import from. */
const allowed: Record<string, string[]> = {
  core: ["core"],
  shape: ["shape", "core"],
  server: ["server", "shape", "core"],
  cli: ["cli", "server", "shape", "core"],
  web: ["web", "core"],
};

test("imports run one way, from the hosts to the core, and never in a circle", async () => {
  const imports = await importsOf();
  expect(imports.size).toBeGreaterThan(60);
  const wrong: string[] = [];
  for (const [file, to] of imports)
    for (const other of to)
      if (!allowed[file.split("/")[0]!]!.includes(other.split("/")[0]!)) wrong.push(`${file} imports ${other}`);
  expect(wrong).toEqual([]);

  const done = new Set<string>();
  const walk = (file: string, path: string[]): void => {
    if (path.includes(file)) throw new Error(`a circle: ${[...path.slice(path.indexOf(file)), file].join(" → ")}`);
    if (done.has(file)) return;
    for (const other of imports.get(file) ?? []) walk(other, [...path, file]);
    done.add(file);
  };
  for (const file of imports.keys()) walk(file, []);
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

test("index files are lists of names", () => {
  const indexes = ["core", "shape", "server", "web", "cli"].flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
      .filter((file) => /(^|\/)index\.tsx?$/.test(file))
      .map((file) => `${folder}/${file}`),
  );
  expect(indexes).toEqual(["core/index.ts"]);
});
