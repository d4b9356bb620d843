import { readdirSync, readFileSync } from "node:fs";
import { type Edit, type Frame, plainFrame, upgradedFrame } from "../../core/index.js";
import { applyEdit } from "../../core/edit/apply.js";
import type { Raw } from "../../core/frame/raw.js";
import { readFrame } from "../../shape/read.js";
import { memoryApp } from "../testing/server.js";
import * as rows from "./repository.js";
import { FrameStore } from "./store.js";
import { upgradeFrames } from "./upgrade.js";

const folder = new URL("../../core/testing/format-1/", import.meta.url);
const demos = readdirSync(folder).map((name) => readFileSync(new URL(name, folder), "utf8"));

/** Edits as format 1 had them: what was said by view in its six ways, in one key or with others. */
const edits = (frame: Frame): Edit[] => {
  const hub = Object.keys(frame.nodes).find((id) => frame.nodes[id]!.kind === "hub")!;
  const { children } = frame.nodes[hub] as { children: string[] };
  const set = (node: string, key: string, value?: unknown): Edit => ({ kind: "set", node, key, value }) as Edit;
  const screen = Object.keys(frame.nodes).find((id) => frame.nodes[id]!.kind === "screen")!;
  const on = frame.targets?.[0]?.id ?? "touch";
  return [
    set(hub, "faces", { hand: "top", desk: "rail" }),
    set(hub, "facesOn", { [on]: { lap: "drawer" } }),
    { kind: "setFrame", key: "short", value: 480 },
    set(hub, "shortFace", "rail"),
    set(screen, "opensIn", { lap: "dialog" }),
    { kind: "batch", edits: [set(screen, "opensOn", { [on]: "sheet" }), set(screen, "title", "Another")] },
    set(children[0]!, "tab", { icon: "leaf", iconOn: { [on]: "plant" }, only: { bands: ["hand", "desk"] } }),
    { kind: "setFrame", key: "name", value: "Renamed" },
    {
      kind: "add",
      nodes: { fresh: { kind: "screen", opensIn: { desk: "sheet" } } as never },
      top: "fresh",
      parent: frame.root,
      after: null,
    },
    set(hub, "faces"),
    {
      kind: "setFrame",
      key: "bands",
      value: [
        { id: "tiny", from: 0 },
        { id: "hand", from: 300 },
        { id: "lap", from: 560 },
        { id: "desk", from: 960 },
      ],
    },
    { kind: "rename", id: screen, to: "renamed" },
    { kind: "remove", id: "fresh" },
  ];
};

test("frames that were stored in format 1 are brought up with every revision, and go on from there", async () => {
  const { database } = await memoryApp();
  const expected = new Map<string, Frame[]>();
  for (const [i, text] of demos.entries()) {
    const slug = `old${i}`;
    let frame = JSON.parse(text) as Frame;
    const frames = [plainFrame(upgradedFrame(frame as unknown as Raw))];
    const id = await rows.insertFrame(database, slug, frame.name);
    const put = (number: number, edit: Edit | null, snapshot: Frame | null) =>
      rows.insertRevisions(database, id, [
        { number, key: `${id} ${number}`, label: "", edit, inverse: edit, snapshot },
      ]);
    await put(1, null, frame);
    for (const [n, edit] of edits(frame).entries()) {
      const result = applyEdit(frame, edit);
      if (!result.ok) throw new Error(JSON.stringify([edit, result.faults]));
      frame = result.frame;
      frames.push(plainFrame(upgradedFrame(frame as unknown as Raw)));
      await put(n + 2, edit, n === 6 ? frame : null);
    }
    await rows.setRevision(database, id, frames.length, frame.name);
    expected.set(id, frames);
  }

  const said: string[] = [];
  await upgradeFrames(database, (line) => said.push(line));
  expect(said).toHaveLength(1);
  const store = new FrameStore(database);
  for (const [id, frames] of expected) {
    for (const [i, frame] of frames.entries()) {
      const { frame: stored } = await store.readAt(id, i + 1);
      expect([i + 1, plainFrame(stored)]).toEqual([i + 1, frame]);
      // what takes a revision back leads to the one before
      const revision = (await rows.storedRevisions(database, id))[i]!;
      if (!revision.inverse) continue;
      const back = applyEdit(stored, revision.inverse);
      expect(back.ok && plainFrame(back.frame)).toEqual(frames[i - 1]);
    }
    const { revision } = await store.read(id);
    const label = { key: "k", label: "", edit: { kind: "setFrame", key: "name", value: "On" } as Edit };
    expect((await store.save(id, revision, [label])).frame.name).toBe("On");
  }
  // what was brought up is not touched again
  await upgradeFrames(database, (line) => said.push(line));
  expect(said).toHaveLength(1);
  await database.close();
}, 120_000);

test("a file of format 1 is read as it was meant, and written in the present one", () => {
  for (const text of demos) {
    const read = readFrame(text);
    expect(read.ok && read.frame.format).toBe("handy-frame/2");
    expect(read.ok && read.frame).toEqual(plainFrame(upgradedFrame(JSON.parse(text) as Raw)));
  }
});

test("what is wrong in a file of format 1 is said of what stands in it", () => {
  const nodes = {
    app: { kind: "stack", children: ["home"] },
    home: { kind: "hub", children: ["a"], faces: { hand: "wheel" } },
    a: { kind: "screen" },
  };
  const read = readFrame(JSON.stringify({ format: "handy-frame/1", name: "Old", root: "app", nodes }));
  expect(read.ok).toBe(false);
  expect(!read.ok && read.faults.map(({ pointer }) => pointer)).toEqual(["/nodes/home"]);
  expect(!read.ok && read.faults[0]!.remedy).toMatch("read as /nodes/home/face");
});
