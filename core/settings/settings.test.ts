import type { Node } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { hub, screen, stack, tabbed } from "../testing/frames.js";
import { alike, sameKind, siblings } from "./alike.js";
import { setElsewhere, settings, sharedSettings, valueOf, valueSays } from "./settings.js";

const frame = plainFrame(
  tabbed(
    {},
    {
      c: screen({ bars: "hide" }),
      form: screen({ bars: "hide", opens: "sheet" }),
      box: hub(["q"], { keep: "fresh" }),
      q: stack(["z"]),
      z: screen(),
    },
  ),
);
const setting = (key: string) => settings.find((each) => each.key === key)!;

describe("a setting on many nodes", () => {
  test("is shown with what holds on each, set or by default", () => {
    const [bars] = sharedSettings(frame, ["c", "deep", "item"]).filter((each) => each.setting.key === "bars");
    expect(bars).toMatchObject({
      held: [
        { value: "", ids: ["deep", "item"] },
        { value: "hide", ids: ["c"] },
      ],
      own: ["c"],
    });
  });
  test("is one that all of them have", () => {
    const keys = (...ids: string[]) => sharedSettings(frame, ids).map((each) => each.setting.key);
    expect(keys("home", "box")).toContain("keep");
    expect(keys("home", "c")).not.toContain("keep");
    expect(keys("home", "c")).toContain("bars");
  });
  test("tells all places where it is set otherwise", () => {
    expect(setElsewhere(frame, "bars")).toEqual([{ value: "hide", ids: ["form", "c"] }]);
    expect(setElsewhere(frame, "keep")).toEqual([{ value: "fresh", ids: ["box"] }]);
    expect(setElsewhere(frame, "path")).toEqual([]);
  });
  test("that differs by view says where it is what", () => {
    const home: Node = { ...frame.nodes.home!, vary: [{ from: "lap", on: ["touch"], set: { face: "rail" } }] };
    const varied = { ...frame, nodes: { ...frame.nodes, home } };
    expect(valueSays(varied, setting("face"), valueOf(varied, "home", setting("face")))).toBe(
      "bar; rail on Phone, from lap",
    );
    expect(setElsewhere(varied, "face").map(({ ids }) => ids)).toEqual([["home"]]);
  });
  test("has its default in words", () => {
    expect(valueSays(frame, setting("keep"), valueOf(frame, "home", setting("keep")))).toBe("everything");
    expect(valueSays(frame, setting("face"), valueOf(frame, "home", setting("face")))).toBe("bar");
    expect(valueSays(frame, setting("rest"), [0.4, 0.9])).toBe("0.4, 0.9");
    expect(valueSays(frame, setting("floating"), false)).toBe("off");
  });
});

describe("nodes that are chosen together", () => {
  const ids = (parts: { id: string }[]) => parts.map(({ id }) => id).sort();
  test("are all of a kind, all that are alike, or all that stand together", () => {
    expect(ids(sameKind(frame, { id: "home", parent: "app" }))).toEqual(["box", "home"]);
    expect(ids(alike(frame, { id: "deep", parent: "aTab" }))).toEqual(["cover", "deep", "item"]);
    expect(ids(siblings(frame, { id: "b", parent: "bTab" }))).toEqual(["b", "form"]);
  });
});
