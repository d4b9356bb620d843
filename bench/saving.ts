import { cpSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { newDatabaseUrl } from "../server/testing/server.js";
import { startPostgres } from "../server/testing/postgres.js";
import { largeFrame } from "./frames.js";
import { type Figure, quantile } from "./measure.js";
import { put, save, savesOn, started } from "./started.js";

const small = {
  format: "handy-frame/2",
  name: "Small",
  root: "app",
  nodes: { app: { kind: "stack", children: ["home"] }, home: { kind: "screen", title: "Home" } },
};

/** Saves in a second by so many at once, each on a frame of its own. */
const rate = async (url: string, atOnce: number, each: number): Promise<number> => {
  const ids = await Promise.all(Array.from({ length: atOnce }, () => put(url, small)));
  const began = performance.now();
  await Promise.all(
    ids.map(async (id) => {
      for (let revision = 1; revision <= each; revision += 1) await save(url, id, "home", revision);
    }),
  );
  return (atOnce * each * 1000) / (performance.now() - began);
};

/** What saving costs: by when it is synced, by how many save at once, on both kinds of database. */
export const savingFigures = async (): Promise<Figure[]> => {
  const figures: Figure[] = [];
  const folder = mkdtempSync(join(tmpdir(), "handy-frame-bench-"));
  const made = join(folder, "made");
  const { stop } = await started(made);
  await stop();
  const postgres = await startPostgres();
  const elsewhere = await newDatabaseUrl(postgres.url);

  const kinds = [
    ...["never", "second", "each"].map((sync) => ({ name: `synced ${sync}`, sync, variables: {} })),
    { name: "on PostgreSQL", sync: "each", variables: { DATABASE_URL: elsewhere } },
  ];
  const bases: Record<string, number> = {};
  for (const { name, sync, variables } of kinds) {
    const data = join(folder, name.replaceAll(" ", "-"));
    cpSync(made, data, { recursive: true });
    const server = await started(data, ["--sync", sync], variables);
    const demo = ((await (await fetch(`${server.url}api/frames/allotment-diary`)).json()) as { frame: unknown }).frame;
    for (const [on, frame, node] of [
      ["the demo", demo, "plot"],
      ["2,000 nodes", largeFrame(1920), "screen9"],
    ] as const) {
      const value = quantile(await savesOn(server.url, frame, node, 220), 0.5);
      bases[on] ??= value;
      figures.push({
        name: `a save on ${on}, ${name}, p50`,
        value,
        unit: "ms",
        against: { name: "synced never", value: bases[on]!, ratio: value / bases[on]! },
      });
    }
    for (const atOnce of [1, 8, 32])
      figures.push({
        name: `saves by ${atOnce} at once, ${name}`,
        value: await rate(server.url, atOnce, Math.ceil(320 / atOnce)),
        unit: "/s",
      });
    await server.stop();
  }
  await postgres.stop();

  const data = join(folder, "synced-each");
  const server = await started(data);
  const id = await put(server.url, small);
  for (let revision = 1; revision < 20_000; revision += 500) await save(server.url, id, "home", revision, 500);
  await server.stop();
  const again = await started(data);
  await again.stop();
  figures.push({
    name: "start to first answer after 20,000 revisions",
    value: again.ms,
    unit: "ms",
    goal: "under 3000",
    met: again.ms < 3000,
  });
  return figures;
};
