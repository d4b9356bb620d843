import { jest } from "@jest/globals";
import { oncePainted } from "./once-painted.js";

let frames: Map<number, () => void>;
let done: number;
const act = () => (done += 1);
const paint = () => {
  for (const frame of frames.values()) frame();
  frames.clear();
};

beforeEach(() => {
  jest.useFakeTimers();
  frames = new Map();
  done = 0;
  Object.assign(globalThis, {
    requestAnimationFrame: (frame: () => void) => {
      frames.set(frames.size + 1, frame);
      return frames.size;
    },
    cancelAnimationFrame: (frame: number) => frames.delete(frame),
  });
});
afterEach(() => jest.useRealTimers());

test("waits until the change is painted, and as long after that as is asked for", () => {
  oncePainted(act, 40);
  jest.advanceTimersByTime(30);
  paint();
  jest.advanceTimersByTime(39);
  expect(done).toBe(0);
  jest.advanceTimersByTime(1);
  expect(done).toBe(1);
});

test("is done in a window that is not seen, and once, though it is painted late", () => {
  oncePainted(act);
  jest.advanceTimersByTime(1000);
  expect(done).toBe(1);
  paint();
  jest.advanceTimersByTime(1000);
  expect(done).toBe(1);
});

test("is not done where it was called off, before it was painted or after", () => {
  oncePainted(act)();
  const callOff = oncePainted(act, 40);
  paint();
  callOff();
  jest.advanceTimersByTime(1000);
  expect(done).toBe(0);
});
