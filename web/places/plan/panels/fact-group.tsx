import { type Fact, factAtLaunch, factsOf, type Frame, sure } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { Check } from "../../../parts/check.js";
import { chosenValue, factOptions } from "../../../parts/fact-options.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { readNames, wrongEmpty, wrongValues } from "../../../parts/wrong.js";
import { Group, Line } from "../bench/group.js";
import { changedIn, type Changes, idAmong, useSetFrame } from "./use-set-frame.js";

/** What is so of the person or the app, that it goes by. */
export function FactGroup({ frame }: { frame: Frame }) {
  const set = useSetFrame();
  const facts = factsOf(frame);
  const add = () => {
    const id = idAmong(frame, facts.length ? "fact" : "signedIn", facts);
    const label = facts.length ? "New fact" : "Signed in";
    set("facts", [...facts, { id, label }], `Add the fact ${label}`);
  };
  return (
    <Group title="Facts" says="what is so of the person or the app" wide room="min-w-72">
      {facts.map((fact) => (
        <FactRow
          key={fact.id}
          fact={fact}
          onPut={(changes, label) => set("facts", changedIn(facts, fact.id, changes), label)}
          onTakeOut={() => {
            const rest = facts.filter(({ id }) => id !== fact.id);
            set("facts", rest.length ? rest : undefined, `Without ${fact.label}`);
          }}
        />
      ))}
      <Button icon="plus" className="self-start" onClick={add}>
        Add a fact
      </Button>
      <p className="text-ink-2">An action can be there only while a fact is so, and can set one.</p>
    </Group>
  );
}

interface FactRowProps {
  fact: Fact;
  onPut: (changes: Changes<Fact>, label: string) => void;
  onTakeOut: () => void;
}

function FactRow({ fact, onPut, onTakeOut }: FactRowProps) {
  return (
    <fieldset className="flex flex-wrap items-center gap-1.5 border-b border-rule pb-1.5">
      <span className="mono w-20 shrink-0 truncate text-ink-2">{fact.id}</span>
      <span className="min-w-24 grow">
        <TextLine
          aria-label={`Name of the fact ${fact.id}`}
          value={fact.label}
          wrong={wrongEmpty}
          onDone={(label) => onPut({ label: label.trim().slice(0, 80) }, `Fact ${label}`)}
        />
      </span>
      <Select
        label={`${fact.label} at the launch`}
        value={String(factAtLaunch(fact))}
        options={factOptions(fact)}
        onChange={(text) => {
          onPut({ launch: chosenValue(fact, text) }, `${fact.label} is ${text} at the launch`);
        }}
      />
      <Button tone="quiet" icon="x" aria-label={`Take out the fact ${fact.label}`} onClick={onTakeOut} />
      <Line label="Values">
        <TextLine
          className="mono text-[12px]"
          value={(fact.values ?? []).join(", ")}
          placeholder="yes, no"
          wrong={wrongValues}
          onDone={(text) => {
            const values = sure(readNames(text));
            onPut(
              { values: values.length ? values : undefined, launch: undefined },
              `${fact.label} can be ${values.join(", ") || "yes or no"}`,
            );
          }}
        />
      </Line>
      <span className="w-full">
        <Check
          checked={fact.lasting !== false}
          onChange={(lasting) =>
            onPut({ lasting: lasting ? undefined : false }, `${fact.label} ${lasting ? "lasts" : "does not last"}`)
          }
        >
          Outlives the end of the app
        </Check>
      </span>
    </fieldset>
  );
}
