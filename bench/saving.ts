import { firstOf, sure } from "../core/index.js";
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

/** What differs by the moment of the machine is taken in so many rounds, each kind in each. */
const rounds = 5;
const manyAtOnce = [1, 8, 32];

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

const frames = (demo: unknown) =>
  [
    ["the demo", demo, "plot"],
    ["2,000 nodes", largeFrame(1920), "screen9"],
  ] as const;

/** What saving costs: by when it is synced, by how many save at once, on both kinds of database, all in turn. */
export const savingFigures = async (): Promise<Figure[]> => {
  const figures: Figure[] = [];
  const folder = mkdtempSync(join(tmpdir(), "handy-frame-bench-"));
  const made = join(folder, "made");
  const { stop } = await started(made);
  await stop();
  const postgres = await startPostgres();
  const elsewhere = await newDatabaseUrl(postgres.url);

  const kinds = await Promise.all(
    [
      ...["never", "second", "each"].map((sync) => ({ name: `synced ${sync}`, sync, variables: {} })),
      { name: "on PostgreSQL", sync: "each", variables: { DATABASE_URL: elsewhere } },
    ].map(async ({ name, sync, variables }) => {
      const data = join(folder, name.replaceAll(" ", "-"));
      cpSync(made, data, { recursive: true });
      return { name, server: await started(data, ["--sync", sync], variables) };
    }),
  );
  const { frame: demo } = await (await fetch(`${firstOf(kinds).server.url}api/frames/allotment-diary`)).json();
  /** What each kind measured over all rounds, by what was measured. */
  const measured = new Map<string, number[]>();
  const note = (what: string, values: readonly number[]) =>
    measured.set(what, [...(measured.get(what) ?? []), ...values]);
  for (let round = 0; round < rounds; round += 1)
    for (const { name, server } of kinds) {
      for (const [on, frame, node] of frames(demo))
        note(`a save on ${on}, ${name}, p50`, await savesOn(server.url, frame, node, 80));
      for (const atOnce of manyAtOnce)
        note(`saves by ${atOnce} at once, ${name}`, [await rate(server.url, atOnce, Math.ceil(160 / atOnce))]);
    }
  for (const [on] of frames(demo)) {
    const base = quantile(sure(measured.get(`a save on ${on}, synced never, p50`)), 0.5);
    for (const kind of kinds) {
      const name = `a save on ${on}, ${kind.name}, p50`;
      const value = quantile(sure(measured.get(name)), 0.5);
      figures.push({
        name,
        value,
        unit: "ms",
        against: { name: "synced never", value: base, ratio: value / base },
      });
    }
  }
  for (const atOnce of manyAtOnce)
    for (const kind of kinds) {
      const name = `saves by ${atOnce} at once, ${kind.name}`;
      figures.push({ name, value: quantile(sure(measured.get(name)), 0.5), unit: "/s" });
    }
  for (const { server } of kinds) await server.stop();
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
