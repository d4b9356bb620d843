import {
  type Edit,
  type Fact,
  factsOf,
  type FactValue,
  factValues,
  firstOf,
  type Id,
  lastOf,
  mayStand,
  type Need,
  needsAbove,
  needSays,
  needWords,
  nodeAt,
  placesOf,
  plainName,
  sure,
  valuesOf,
  valueWord,
} from "../../../../core/index.js";
import { useLive, useOpenFrame } from "../../../app/open-frame.js";
import { Button } from "../../../parts/button.js";
import { Check } from "../../../parts/check.js";
import { Picker } from "../../../parts/picker.js";
import { Select } from "../../../parts/select.js";
import { useBench, useNode } from "./bench-context.js";
import { Fields, Line, Says } from "./group.js";

/** The edit that gives a frame its first fact, and a node a need of that. */
const firstFact = (id: Id): Edit => ({
  kind: "batch",
  edits: [
    { kind: "setFrame", key: "facts", value: [{ id: "signedIn", label: "Signed in" } satisfies Fact] },
    { kind: "set", node: id, key: "needs", value: [{ fact: "signedIn", is: true }] },
  ],
});

const wantedFirst = (fact: Fact): FactValue => {
  const first = firstOf(factValues(fact));
  return typeof first === "boolean" ? true : first;
};

/** What has to be so before a person may see a node, and what they see else. */
export function NeedsGroup() {
  const { frame, view, id, set } = useBench();
  const { editing } = useOpenFrame();
  const facts = factsOf(frame);
  const here = useLive((live) => live.device.at.state.facts);
  const { needs = [] } = useNode();
  const above = needsAbove(frame, id).filter((each) => each.id !== id);
  const change = (next: Need[], label: string) => set("needs", next.length ? next : undefined, label);
  const add = () => {
    const [fact] = facts;
    if (fact) change([...needs, { fact: fact.id, is: wantedFirst(fact) }], `needs ${fact.label}`);
    else editing.edit(firstFact(id), `${plainName(frame, id)}: needs Signed in`);
  };
  const met = mayStand(frame, here, id) ? "met on the device now" : "not met on the device now";
  return (
    <>
      <p className="pb-1 text-ink-2">
        What has to be so of the person before they may see it: {needs.length === 0 ? "nothing of its own" : met}.
      </p>
      {above.map((each) => (
        <p key={`${each.id} ${each.need.fact}`} className="pb-1 text-ink-2">
          {plainName(frame, each.id)} around it needs {needWords(frame, each.need)}
        </p>
      ))}
      <Fields>
        {needs.map((need, i) => (
          <NeedLines
            key={i}
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
      </Fields>
      <Button icon="plus" onClick={add}>
        Need
      </Button>
    </>
  );
}

interface NeedProps {
  need: Need;
  onChange: (need: Need, label: string) => void;
}

/** The values of the fact that will do. */
function Values({ need, fact, onChange }: NeedProps & { fact: Fact }) {
  const { frame } = useBench();
  const wanted = valuesOf(need);
  return (
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
              const is = typeof value === "boolean" ? value : next.length === 1 ? firstOf(next) : next;
              onChange({ ...need, is }, `needs ${needWords(frame, { ...need, is })}`);
            }}
          >
            {valueWord(value)}
          </button>
        );
      })}
    </div>
  );
}

/** What is opened instead, where the need is not met. */
function Otherwise({ need, onChange }: NeedProps) {
  const { frame, id } = useBench();
  const others = Object.keys(frame.nodes).filter((other) => other !== id && other !== frame.root);
  const refused = () => {
    const { otherwise: _, resume: __, ...rest } = need;
    onChange(rest, "else refused");
  };
  return (
    <Line label="Else they see">
      {need.otherwise === undefined ? (
        <Picker
          label="What is opened instead"
          placeholder="refused: choose what stands in"
          options={others.map((value) => ({
            value,
            label: plainName(frame, value),
            says: placesOf(frame, value)[0] === undefined ? "loose" : nodeAt(frame, value).kind,
          }))}
          onPick={(otherwise) => onChange({ ...need, otherwise }, `else ${plainName(frame, otherwise)}`)}
        />
      ) : (
        <span className="flex grow items-center gap-1">
          <b className="truncate font-semibold">{plainName(frame, need.otherwise)}</b>
          <Button tone="quiet" icon="x" aria-label="Nothing is opened instead" onClick={refused} />
        </span>
      )}
    </Line>
  );
}

function NeedLines({ need, says, onChange, onDrop }: NeedProps & { says: string; onDrop: () => void }) {
  const { frame } = useBench();
  const facts = factsOf(frame);
  const fact = facts.find((each) => each.id === need.fact) ?? firstOf(facts);
  const turnTo = (next: Id) => {
    const values = factValues(sure(facts.find((each) => each.id === next)));
    onChange({ ...need, fact: next, is: lastOf(values) }, `needs ${next}`);
  };
  const wait = (resume: boolean) => {
    const { resume: _, ...rest } = need;
    onChange(resume ? { ...rest, resume } : rest, resume ? "what was asked waits" : "what was asked is dropped");
  };
  return (
    <div className="mb-2 flex break-inside-avoid flex-col gap-1 rounded-sm border border-rule p-1.5">
      <div className="flex items-center gap-1.5">
        <Select
          label="The fact it needs"
          className="grow"
          value={fact.id}
          options={facts.map(({ id: value, label }) => ({ value, label }))}
          onChange={turnTo}
        />
        <Button tone="quiet" icon="x" aria-label={`Without the need for ${fact.label}`} onClick={onDrop} />
      </div>
      <Values need={need} fact={fact} onChange={onChange} />
      <Otherwise need={need} onChange={onChange} />
      {need.otherwise !== undefined && (
        <Check checked={need.resume ?? false} onChange={wait}>
          What was asked waits, and is opened then
        </Check>
      )}
      <Says>{says}</Says>
    </div>
  );
}
