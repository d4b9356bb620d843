// Holds what this checkout prints against what another commit prints, byte for byte: `npm run same -- REVISION`. Random
// frames are run by `play` in both, with the regions; beside that the sentences about them, edits of them, and the schema.
import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import {
  type Edit,
  launch,
  type NavigationEvent,
  readEvent,
  step,
  textFaults,
  viewAfter,
  viewOf,
  writeFrame,
  sure,
} from "../core/index.js";
import { anyEdit, anyEvent, anyFrame, anyLink, eventAt } from "../core/testing/arbitrary.js";

const root = join(import.meta.dirname, "..");
const [revision = "HEAD", frames = "500", seed = "20261128"] = process.argv.slice(2);
const eventsEach = 40;

/** A run to play: the frame's text, how the device is, and events that are events. */
export interface Case {
  frame: string;
  view: string;
  on: string;
  url?: string;
  events: NavigationEvent[];
  edits: Edit[];
}

const sizes = ["390x844", "700x840", "1100x790", "320x300"];
const targets = ["key", "swipe", "none"];

const drawn = (): Case[] => {
  const count = Number(frames);
  const one = fc.tuple(
    anyFrame(),
    fc.array(anyEvent(), { minLength: 3 * eventsEach, maxLength: 3 * eventsEach, size: "max" }),
    anyLink(),
    fc.array(anyEdit(), { minLength: 12, maxLength: 12, size: "max" }),
  );
  return fc.sample(one, { numRuns: count, seed: Number(seed) }).map(([frame, drawnEvents, link, edits], i) => {
    const size = sure(sizes[i % sizes.length]);
    const on = sure(targets[i % targets.length]);
    const [width, height] = size.split("x").map(Number);
    let view = viewOf(frame, { width, height, target: on });
    const url = i % 5 === 0 && link.start === "cold" && link.url.startsWith("/") ? link.url : undefined;
    let { state } = launch(frame, view, {}, url);
    const events: NavigationEvent[] = [];
    for (const each of drawnEvents) {
      if (events.length === eventsEach) break;
      const read = readEvent(JSON.parse(JSON.stringify(eventAt(frame, view, state, each)) ?? "null"));
      if (!read.ok || textFaults(read.event).length) continue;
      const { event } = read;
      state = step(frame, view, state, event).state;
      view = viewAfter(frame, view, event);
      events.push(event);
    }
    return { frame: writeFrame(frame), view: size, on, ...(url !== undefined && { url }), events, edits };
  });
};

const folder = mkdtempSync(join(tmpdir(), "same-"));
const other = join(folder, "other");
try {
  const cases = drawn();
  const path = join(folder, "cases.json");
  writeFileSync(path, JSON.stringify(cases));
  execFileSync("git", ["worktree", "add", "-q", "--detach", other, revision], { cwd: root });
  symlinkSync(join(root, "node_modules"), join(other, "node_modules"));
  const told = [other, root].map((checkout, i) => {
    const out = join(folder, `out${i}.json`);
    execFileSync("node", ["--import", "tsx", join(root, "scripts", "same-told.ts"), checkout, path, out], {
      cwd: root,
      stdio: "inherit",
    });
    const printed: Record<string, string[]> = JSON.parse(readFileSync(out, "utf8"));
    return printed;
  });
  const [before = {}, now = {}] = told;
  let differ = 0;
  for (const [what, texts] of Object.entries(before)) {
    const others = now[what] ?? [];
    const wrong = texts.flatMap((text, i) => (text === others[i] ? [] : [i]));
    const bytes = texts.reduce((sum, text) => sum + text.length, 0);
    console.log(`${what}: ${texts.length} compared, ${bytes.toLocaleString("en")} characters, ${wrong.length} differ`);
    differ += wrong.length;
    for (const i of wrong.slice(0, 2)) {
      const [a, b] = [sure(texts[i]), others[i] ?? ""];
      const at = [...a].findIndex((letter, k) => letter !== b[k]);
      const from = Math.max(0, at - 200);
      console.log(
        `  number ${i}, from character ${at}\n  was: ${a.slice(from, at + 200)}\n  is:  ${b.slice(from, at + 200)}`,
      );
    }
  }
  const steps = cases.reduce((sum, { events }) => sum + events.length, 0);
  console.log(
    `${cases.length} frames, ${steps} events: ${differ === 0 ? "the same to the letter" : `${differ} differ`}`,
  );
  process.exitCode = differ ? 1 : 0;
} finally {
  execFileSync("git", ["worktree", "remove", "--force", other], { cwd: root });
  rmSync(folder, { recursive: true, force: true });
}
