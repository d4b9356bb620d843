import { plainFrame } from "../frame/write.js";
import type { Leave, Need } from "../frame/parts.js";
import { frameOf, screen, stack } from "../testing/frames.js";
import { gatesSay } from "./gates-say.js";

const leave: Leave = { when: "always", ask: "Leave it?" };
const needs: Need[] = [{ fact: "signedIn", is: true }];
const facts = [{ id: "signedIn", label: "Signed in" }];
const frame = (more: object = {}) =>
  plainFrame(
    frameOf({ app: stack(["a", "b"]), a: screen({ title: "A", ...more }), b: screen({ title: "B" }) }, { facts }),
  );

test("a gate that is put before something is told, and one that stood there is not", () => {
  expect(gatesSay(frame(), frame({ needs, leave }))).toEqual([
    "A needs Signed in: yes now",
    "A asks before it is left",
  ]);
  expect(gatesSay(frame({ needs, leave }), frame({ needs, leave }))).toEqual([]);
  expect(gatesSay(frame({ needs, leave }), frame())).toEqual([]);
});

test("what is told of a node elsewhere is not told twice", () => {
  expect(gatesSay(frame(), frame({ needs }), ["a"])).toEqual([]);
});
