import { applySoundly } from "../edit/apply.js";
import { childrenOf } from "../frame/defaults.js";
import type { Frame } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { frameOf, hub, opening, run, screen, stack } from "../testing/frames.js";
import { listAndDetail } from "./list-detail.js";

const diary = (): Frame =>
  frameOf({
    app: stack(["home"]),
    home: hub(["plotsTab", "me"]),
    plotsTab: stack(["plots", "plot", "bed", "rules"]),
    plots: screen({
      title: "Plots",
      body: { kind: "list", rows: 9, row: "Plot {n}", opens: "plot", param: "plot" },
      actions: [opening("rules")],
    }),
    plot: screen({ title: "Plot", path: "/plots/:plot", actions: [opening("bed")] }),
    bed: screen({ title: "Bed" }),
    rules: screen({ title: "Rules" }),
    me: screen(),
  });
const asked = (frame: Frame, id: string, parent: string) => listAndDetail.plan(plainFrame(frame), [{ id, parent }]);
const made = (frame: Frame, id: string, parent: string): Frame => {
  const result = asked(frame, id, parent);
  if (!result.ok) throw new Error(result.why);
  const applied = applySoundly(plainFrame(frame), result.planned.edit);
  if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
  return applied.frame;
};
const why = (frame: Frame, id: string, parent: string): string => {
  const result = asked(frame, id, parent);
  return result.ok ? "" : result.why;
};

test("a list and what its rows lead to become a pair in its place, with what lies under the detail", () => {
  const frame = made(diary(), "plots", "plotsTab");
  expect(childrenOf(frame.nodes.plotsTab!)).toEqual(["plotsPair", "rules"]);
  expect(frame.nodes.plotsPair).toMatchObject({ kind: "pair", list: "plotsList", detail: "plotDetail" });
  expect(childrenOf(frame.nodes.plotsList!)).toEqual(["plots"]);
  expect(childrenOf(frame.nodes.plotDetail!)).toEqual(["plot", "bed"]);
});

test("on a phone it goes on as it was: a row opens the detail, and Back goes back to the list", () => {
  const frame = made(diary(), "plots", "plotsTab");
  expect(run(frame, { do: "pick", row: 2 })).toMatchObject({ top: "plot", back: ["plots", "exit"] });
});

test("where there is no list, no detail or no stack it says why not", () => {
  expect(why(diary(), "bed", "plotsTab")).toMatch("rows lead to a screen");
  expect(why(diary(), "me", "home")).toMatch("rows lead to a screen");
  const shared = { ...diary(), nodes: { ...diary().nodes, meTab: stack(["plot"]), home: hub(["plotsTab", "meTab"]) } };
  expect(why(shared as Frame, "plots", "plotsTab")).toMatch("there alone");
});
