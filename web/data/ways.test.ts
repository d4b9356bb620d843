import { firstWaysOf, type FirstWays, type Frame, viewOf } from "../../core/index.js";
import { tabbed } from "../../core/testing/frames.js";
import type { Checks } from "./checks.js";
import { External } from "./external.js";
import type { LiveDevice } from "./live-device.js";
import { pointsIn } from "./points.js";
import { Ways } from "./ways.js";

const frames = [tabbed(), tabbed({ start: "bTab" })] as const;
let frame: Frame = frames[0];
let answers: ((ways: FirstWays | null) => void)[] = [];
const asking = { ask: () => new Promise((resolve) => answers.push(resolve)) } as unknown as Checks;
const device = new External({ device: { view: viewOf(frame) } });
const after = async (answer: number, ways: FirstWays | null) => {
  answers[answer]!(ways);
  await Promise.resolve();
  await Promise.resolve();
};

beforeEach(() => {
  [frame] = frames;
  answers = [];
  device.set({ device: { view: viewOf(frame) } });
});

test("ways are asked for once for a frame and a view, and the same ways stay the same object", async () => {
  const ways = new Ways(() => frame, device as unknown as LiveDevice, asking);
  ways.look();
  ways.look();
  device.set({ device: { view: viewOf(frame, { width: 380 }) } });
  ways.look();
  expect(answers).toHaveLength(1);
  const found = firstWaysOf(frame, viewOf(frame));
  await after(0, found);
  const known = ways.get().ways;
  expect(known).toEqual([found]);
  frame = { ...frame, name: "Another" };
  ways.look();
  await after(1, structuredClone(found));
  expect(ways.get().ways).toBe(known);
});

test("what was asked of a view or a frame that is there no more is passed over", async () => {
  const ways = new Ways(() => frame, device as unknown as LiveDevice, asking);
  ways.look();
  frame = frames[1];
  ways.look();
  const [old, now] = frames.map((each) => firstWaysOf(each, viewOf(each)));
  expect(old).not.toEqual(now);
  await after(1, now!);
  await after(0, old!);
  expect(ways.get().ways).toEqual([now]);
});

test("where a person stands is worked out once for a frame, a view and the ways that are known", async () => {
  const ways = new Ways(() => frame, device as unknown as LiveDevice, asking);
  const view = viewOf(frame);
  const before = pointsIn(ways, frame, view);
  expect(pointsIn(ways, frame, { ...view })).toBe(before);
  expect(before.at("deep").way).toBeNull();
  ways.look();
  await after(0, firstWaysOf(frame, view));
  expect(pointsIn(ways, frame, view).at("deep").way?.events).toHaveLength(2);
});
