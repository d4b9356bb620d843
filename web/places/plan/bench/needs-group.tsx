import { type Fact, factsOf, factValues, mayStand, type Need, needSays, needsAbove, needWords, plainName, placesOf, valuesOf, valueWord } from "../../../../core/index.js";
import { useOpenFrame, useSession } from "../../../app/open-frame.js";
import { Button } from "../../../parts/button.js";
import { Check } from "../../../parts/check.js";
import { Picker } from "../../../parts/picker.js";
import { Select } from "../../../parts/select.js";
import { Group, type GroupProps, Line, Says } from "./group.js";

/** What has to be so before a person may see a node, and what they see else. */
export function NeedsGroup({ frame, view, id, node, set }: GroupProps) {
  const opened = useOpenFrame();
  const facts = factsOf(frame);
  const here = useSession((session) => session.device.at.state.facts);
  const needs = node.needs ?? [];
  const above = needsAbove(frame, id).filter((each) => each.id !== id);
  const change = (next: Need[], label: string) => set("needs", next.length ? next : undefined, label);
  const add = () => {
    const [fact] = facts;
    if (!fact) {
      const signedIn: Fact = { id: "signedIn", label: "Signed in" };
      opened.edit(
        {
          kind: "batch",
          edits: [
            { kind: "setFrame", key: "facts", value: [signedIn] },
            { kind: "set", node: id, key: "needs", value: [{ fact: "signedIn", is: true }] },
          ],
        },
        `${plainName(frame, id)}: needs Signed in`,
      );
      return;
    }
    const [first] = factValues(fact);
    const is = typeof first === "boolean" ? true : first!;
    change([...needs, { fact: fact.id, is }], `needs ${fact.label}`);
  };
  return (
    <Group
      title="Needs"
      wide
      says={
        needs.length === 0
          ? "nothing of its own"
          : mayStand(frame, here, id)
            ? "met on the device now"
            : "not met on the device now"
      }
    >
      {above.map((each) => (
        <p key={`${each.id} ${each.need.fact}`} className="text-ink-2">
          {plainName(frame, each.id)} around it needs {needWords(frame, each.need)}
        </p>
      ))}
      {needs.map((need, i) => (
        <NeedLines
          key={i}
          frame={frame}
          id={id}
          need={need}
          says={needSays(frame, view, id, i)}
          onChange={(next, label) =>
            change(
              needs.map((other, at) => (at === i ? next : other)),
              label,
            )
          }
          onDrop={() =>
            change(
              needs.filter((_, at) => at !== i),
              `does not need ${need.fact}`,
            )
          }
        />
      ))}
      <Button icon="plus" className="self-start" onClick={add}>
        Need
      </Button>
    </Group>
  );
}

function NeedLines({
  frame,
  id,
  need,
  says,
  onChange,
  onDrop,
}: Pick<GroupProps, "frame" | "id"> & {
  need: Need;
  says: string;
  onChange: (need: Need, label: string) => void;
  onDrop: () => void;
}) {
  const facts = factsOf(frame);
  const fact = facts.find((each) => each.id === need.fact) ?? facts[0]!;
  const wanted = valuesOf(need);
  const others = Object.keys(frame.nodes).filter((other) => other !== id && other !== frame.root);
  return (
    <div className="flex flex-col gap-1 rounded-sm border border-rule p-1.5">
      <div className="flex items-center gap-1.5">
        <Select
          label="The fact it needs"
          className="grow"
          value={fact.id}
          options={facts.map(({ id: value, label }) => ({ value, label }))}
          onChange={(next) => {
            const values = factValues(facts.find((each) => each.id === next)!);
            onChange({ ...need, fact: next, is: values.at(-1)! }, `needs ${next}`);
          }}
        />
        <Button tone="quiet" icon="x" aria-label={`Without the need for ${fact.label}`} onClick={onDrop} />
      </div>
      <div role="group" aria-label={`Values of ${fact.label} that will do`} className="flex flex-wrap gap-1">
        {factValues(fact).map((value) => {
          const isOn = wanted.includes(value);
          const next = isOn ? wanted.filter((other) => other !== value) : [...wanted, value];
          return (
            <button
              key={String(value)}
              type="button"
              aria-pressed={isOn}
              disabled={next.length === 0}
              className="h-6.5 rounded-sm border border-field bg-plate-2 px-2 aria-pressed:border-petrol aria-pressed:bg-petrol-soft aria-pressed:font-semibold"
              onClick={() => {
                // of yes and no one will do: the other takes its place
                const is = typeof value === "boolean" ? value : next.length === 1 ? next[0]! : next;
                onChange({ ...need, is }, `needs ${needWords(frame, { ...need, is })}`);
              }}
            >
              {valueWord(value)}
            </button>
          );
        })}
      </div>
      <Line label="Else">
        {need.otherwise === undefined ? (
          <Picker
            label="What is opened instead"
            placeholder="refused: choose what stands in"
            options={others.map((value) => ({
              value,
              label: plainName(frame, value),
              says: placesOf(frame, value)[0] === undefined ? "loose" : frame.nodes[value]!.kind,
            }))}
            onPick={(otherwise) => onChange({ ...need, otherwise }, `else ${plainName(frame, otherwise)}`)}
          />
        ) : (
          <span className="flex grow items-center gap-1">
            <b className="truncate font-semibold">{plainName(frame, need.otherwise)}</b>
            <Button
              tone="quiet"
              icon="x"
              aria-label="Nothing is opened instead"
              onClick={() => {
                const { otherwise: _, resume: __, ...rest } = need;
                onChange(rest, "else refused");
              }}
            />
          </span>
        )}
      </Line>
      {need.otherwise !== undefined && (
        <Check
          checked={need.resume ?? false}
          onChange={(resume) => {
            const { resume: _, ...rest } = need;
            onChange(
              resume ? { ...rest, resume } : rest,
              resume ? "what was asked waits" : "what was asked is dropped",
            );
          }}
        >
          What was asked waits, and is opened then
        </Check>
      )}
      <Says>{says}</Says>
    </div>
  );
}
