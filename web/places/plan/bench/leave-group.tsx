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
import { SetMark } from "../../../parts/set-mark.js";
import { TextLine } from "../../../parts/text-line.js";
import type { Wrong } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { Block, Fields, Line, Says } from "./group.js";

type Free = NonNullable<Leave["free"]>[number];

const whens: { value: Leave["when"]; label: string }[] = [
  { value: "draft", label: "with a draft" },
  { value: "always", label: "always" },
];

const wrongQuestion: Wrong = (text) => (text.trim() === "" ? "a question, such as: Leave without keeping it?" : null);

/** Whether the screen asks before it is left, what it asks, and which actions leave it unasked. */
export function LeaveGroup() {
  const { said, set } = useBench();
  const node = useNodeOf("screen");
  const { leave } = node;
  const put = (next: Leave | undefined, label: string) => set("leave", next, label);
  const start = () => plainLeave(draftFieldsOf(node).length > 0 ? "draft" : "always");
  return (
    <Fields>
      <Block>
        <Check
          checked={leave !== undefined}
          onChange={(on) => put(on ? start() : undefined, on ? "asks before it is left" : "is left unasked")}
        >
          Asks before it is left <SetMark of="leave" />
        </Check>
        <Says>{said.leave}</Says>
      </Block>
      {leave && (
        <>
          <Block>
            <Choice
              label="When it asks"
              value={leave.when}
              options={whens}
              onChange={(when) => put({ ...leave, when }, `asks ${when === "draft" ? "with a draft" : "always"}`)}
            />
          </Block>
          <Line label="What it asks" long>
            <TextLine
              value={leave.ask}
              wrong={wrongQuestion}
              onDone={(ask) => put({ ...leave, ask: ask.slice(0, 200) }, `asks ${ask}`)}
            />
          </Line>
          <FreeChecks leave={leave} actions={node.actions ?? []} onChange={put} />
        </>
      )}
    </Fields>
  );
}

interface FreeChecksProps {
  leave: Leave;
  actions: readonly Action[];
  onChange: (leave: Leave, label: string) => void;
}

/** The actions that leave it unasked: its own, and those of other screens. */
function FreeChecks({ leave, actions, onChange }: FreeChecksProps) {
  const { frame } = useBench();
  const { free = [], ...plain } = leave;
  const others = free.filter((each): each is Exclude<Free, Id> => typeof each !== "string");
  const set = (next: readonly Free[], label: string) =>
    onChange(next.length ? { ...plain, free: [...next] } : plain, label);
  const toggle = ({ id, label }: Action, on: boolean) => {
    const rest = free.filter((each) => each !== id);
    set(on ? [...rest, id] : rest, `${label} ${on ? "leaves unasked" : "is asked about"}`);
  };
  return (
    <Block>
      {actions.map((action) => (
        <Check key={action.id} checked={free.includes(action.id)} onChange={(on) => toggle(action, on)}>
          {action.label} leaves unasked
        </Check>
      ))}
      {others.map((each) => (
        <Check
          key={`${each.in} ${each.action}`}
          checked
          onChange={() =>
            set(
              free.filter((other) => other !== each),
              `${each.action} is asked about`,
            )
          }
        >
          {actionName(frame, each.in, each.action)} on {nameOf(frame, each.in)} leaves unasked
        </Check>
      ))}
    </Block>
  );
}

const actionName = (frame: Frame, on: Id, action: Id): string => {
  const node = nodeIn(frame, on);
  const all = node?.kind === "screen" ? node.actions : node?.kind === "hub" ? node.extras : undefined;
  return all?.find((each) => each.id === action)?.label ?? action;
};
