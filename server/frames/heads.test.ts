import type { Frame } from "../../core/index.js";
import { tabbed } from "../../core/testing/frames.js";
import { Heads } from "./heads.js";

const frame: Frame = tabbed();
const each = Object.keys(frame.nodes).length;
const head = (id: string, revision = 1) => ({ id, revision, frame });

test("of what is held the newest stays, and what was not asked for the longest goes", () => {
  const heads = new Heads(each * 2);
  for (const id of ["a", "b"]) heads.keep(head(id));
  heads.get("a");
  heads.keep(head("c"));
  expect(["a", "b", "c"].map((id) => heads.get(id)?.id)).toEqual(["a", undefined, "c"]);
  heads.keep(head("c", 3));
  heads.keep(head("c", 2));
  expect([heads.get("c")?.revision, heads.get("a")?.revision]).toEqual([3, 1]);
});

test("one frame that is larger than all may be is held all the same", () => {
  const heads = new Heads(1);
  heads.keep(head("a"));
  expect(heads.get("a")?.id).toBe("a");
  heads.keep(head("b"));
  expect([heads.get("a"), heads.get("b")?.id]).toEqual([undefined, "b"]);
});
