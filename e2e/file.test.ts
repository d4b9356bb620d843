import { mkdtempSync, readFileSync, realpathSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Frame } from "../core/index.js";
import { Served } from "./served.js";
import { newWorld, type World } from "./world.js";

const path = join(realpathSync(mkdtempSync(join(tmpdir(), "handy-frame-own-"))), "app.frame.json");
const frame: Frame = {
  format: "handy-frame/2",
  name: "Own file",
  root: "app",
  nodes: {
    app: { kind: "stack", children: ["home", "about"] },
    home: { kind: "screen", title: "Home" },
    about: { kind: "screen", title: "About" },
  },
};
writeFileSync(path, JSON.stringify(frame));
const inFile = () => JSON.parse(readFileSync(path, "utf8")) as Frame;

const served = new Served([path]);
let world: World;
beforeAll(async () => {
  world = await newWorld({ own: served });
}, 120_000);
afterAll(() => world.end());

test("a frame is worked on in its own file: out, in, broken and mended, and over a restart", async () => {
  const me = await world.person();
  await me.go("/f/own-file/plan");
  await me.see("[data-device] [data-screen]");
  await me.read("header", "app.frame.json");

  // a change here is in the file when it is saved
  await me.click('[data-node="about"]');
  await me.keys("n");
  await me.type("Help");
  await me.keys("Enter");
  await me.saved();
  expect(inFile().nodes.help).toEqual({ kind: "screen", title: "Help" });

  // a change in the file shows here
  const outside = inFile();
  outside.nodes.home = { kind: "screen", title: "Start" };
  writeFileSync(path, JSON.stringify(outside));
  await me.read('[data-node="home"]', "Start");

  // a broken file is told with its place, and the last good frame stays
  writeFileSync(path, JSON.stringify({ ...outside, nodes: { ...outside.nodes, home: { kind: "screan" } } }));
  await me.read('[role="alert"]', "/nodes/home/kind");
  await me.read('[data-node="home"]', "Start");
  await me.click('[data-node="help"]');
  await me.keys("Enter", "Control+a");
  await me.type("Questions");
  await me.keys("Enter");
  await me.saved();
  expect(readFileSync(path, "utf8")).toMatch("screan");

  // mended, both come together
  writeFileSync(path, JSON.stringify({ ...outside, name: "Own file, mended" }));
  await me.page.waitForFunction(() => !document.querySelector('[role="alert"]'));
  await me.read("header", "Own file, mended");
  expect(inFile()).toMatchObject({ name: "Own file, mended", nodes: { help: { title: "Questions" } } });

  // stopped and started again, with another change in the file meanwhile: the same frame with all its history
  const { port } = served;
  await served.end();
  const later = inFile();
  later.nodes.about = { kind: "screen", title: "Imprint" };
  writeFileSync(path, JSON.stringify(later));
  await served.start(port);
  await me.read('[data-node="about"]', "Imprint");
  await me.saved();
  await me.click('[data-sync="saved"]');
  await me.read('[role="dialog"]', 'app.frame.json: Imprint: called "Imprint", was "About"');
  expect(me.errors).toEqual([]);
}, 120_000);
