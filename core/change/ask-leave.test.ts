import { frameOf, screen, stack } from "../testing/frames.js";
import { applyEdit } from "../edit/apply.js";
import type { Frame, ScreenNode } from "../frame/types.js";
import { askBeforeLeaving } from "./ask-leave.js";

const frame = frameOf({
  app: stack(["form", "plain"]),
  form: screen({ title: "Form", body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] } }),
  plain: screen({ title: "Plain" }),
});
const planOf = (from: Frame, ...ids: string[]) =>
  askBeforeLeaving.plan(
    from,
    ids.map((id) => ({ id, parent: "app" })),
  );
const asked = (from: Frame, ...ids: string[]): Frame | string => {
  const plan = planOf(from, ...ids);
  if (!plan.ok) return plan.why;
  const result = applyEdit(from, plan.planned.edit);
  return result.ok ? result.frame : "refused";
};
const leaveIn = (from: Frame | string, id: string) =>
  typeof from === "string" ? from : (from.nodes[id] as ScreenNode).leave?.when;

test("a screen that is typed on asks while a draft would be gone, any other always; asked of what asks it is taken back", () => {
  const both = asked(frame, "form", "plain");
  expect([leaveIn(both, "form"), leaveIn(both, "plain")]).toEqual(["draft", "always"]);
  expect(leaveIn(asked(both as Frame, "form"), "form")).toBeUndefined();
  expect(asked(frame, "app")).toMatch(/is no screen/);
  const labels = [
    planOf(frame, "form"),
    planOf(frame, "form", "plain"),
    planOf(both as Frame, "form"),
    planOf(both as Frame, "form", "plain"),
  ].map((plan) => plan.ok && plan.planned.label);
  expect(labels).toEqual([
    "Form asks before it is left",
    "Form and Plain ask before they are left",
    "Form is left unasked",
    "Form and Plain are left unasked",
  ]);
});
