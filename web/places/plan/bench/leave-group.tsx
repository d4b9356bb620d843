import {
  type Frame,
  type Action,
  type Id,
  type Leave,
  nameOf,
  nodeIn,
  plainLeave,
  draftFieldsOf,
} from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Choice } from "../../../parts/choice.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongEmpty } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { Group, Line, Says } from "./group.js";

type Free = NonNullable<Leave["free"]>[number];

const whens: { value: Leave["when"]; label: string }[] = [
  { value: "draft", label: "with a draft" },
  { value: "always", label: "always" },
];

/** Whether the screen asks before it is left, what it asks, and which actions leave it unasked. */
export function LeaveGroup() {
  const { frame, said, set } = useBench();
  const node = useNodeOf("screen");
  const { leave } = node;
  const put = (next: Leave | undefined, label: string) => set("leave", next, label);
  const start = () => plainLeave(draftFieldsOf(node).length > 0 ? "draft" : "always");
  const others = (leave?.free ?? []).filter((each): each is Exclude<Free, Id> => typeof each !== "string");
  const free = (next: readonly Free[], label: string) => {
    if (!leave) return;
    const { free: _, ...plain } = leave;
    put(next.length ? { ...plain, free: [...next] } : plain, label);
  };
  const toggle = (action: Action, on: boolean) => {
    const rest = (leave?.free ?? []).filter((each) => each !== action.id);
    free(on ? [...rest, action.id] : rest, `${action.label} ${on ? "leaves unasked" : "is asked about"}`);
  };
  return (
    <Group title="Before it is left" of="leave">
      <Check
        checked={leave !== undefined}
        onChange={(on) => put(on ? start() : undefined, on ? "asks before it is left" : "is left unasked")}
      >
        Asks first
      </Check>
      {leave && (
        <>
          <Choice
            label="When it asks"
            value={leave.when}
            options={whens}
            onChange={(when) => put({ ...leave, when }, `asks ${when === "draft" ? "with a draft" : "always"}`)}
          />
          <Line label="Asks">
            <TextLine
              value={leave.ask}
              wrong={wrongEmpty}
              onDone={(ask) => put({ ...leave, ask: ask.slice(0, 200) }, `asks ${ask}`)}
            />
          </Line>
          {(node.actions ?? []).map((action) => (
            <Check
              key={action.id}
              checked={leave.free?.includes(action.id) ?? false}
              onChange={(on) => toggle(action, on)}
            >
              <i className="not-italic">{action.label}</i> leaves unasked
            </Check>
          ))}
          {others.map((each) => (
            <Check
              key={`${each.in} ${each.action}`}
              checked
              onChange={() =>
                free(leave.free?.filter((other) => other !== each) ?? [], `${each.action} is asked about`)
              }
            >
              {actionName(frame, each.in, each.action)} on {nameOf(frame, each.in)} leaves unasked
            </Check>
          ))}
        </>
      )}
      <Says>{said.leave}</Says>
    </Group>
  );
}

const actionName = (frame: Frame, on: Id, action: Id): string => {
  const node = nodeIn(frame, on);
  const all = node?.kind === "screen" ? node.actions : node?.kind === "hub" ? node.extras : undefined;
  return all?.find((each) => each.id === action)?.label ?? action;
};
