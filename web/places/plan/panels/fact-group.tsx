import { type Fact, factAtLaunch, factsOf, type Frame, sure, valueWord } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { Check } from "../../../parts/check.js";
import { chosenValue, factOptions } from "../../../parts/fact-options.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { readNames, wrongEmpty, wrongValues } from "../../../parts/wrong.js";
import { Block, Fields, Line } from "../bench/group.js";
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
    <>
      <p className="pb-1.5 text-ink-2">
        What is so of the person or the app. An action can be there only while a fact is so, and can set one.
      </p>
      <Fields>
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
      </Fields>
      <Button icon="plus" onClick={add}>
        Add a fact
      </Button>
    </>
  );
}

interface FactRowProps {
  fact: Fact;
  onPut: (changes: Changes<Fact>, label: string) => void;
  onTakeOut: () => void;
}

function FactRow({ fact, onPut, onTakeOut }: FactRowProps) {
  return (
    <fieldset className="flex break-inside-avoid flex-col gap-1 border-b border-rule pb-2.5">
      <div className="flex items-center gap-1.5">
        <TextLine
          aria-label={`Name of the fact ${fact.id}`}
          value={fact.label}
          wrong={wrongEmpty}
          onDone={(label) => onPut({ label: label.trim().slice(0, 80) }, `Fact ${label}`)}
        />
        <Select
          label={`${fact.label} at the launch`}
          className="shrink-0"
          value={String(factAtLaunch(fact))}
          options={factOptions(fact, (value) => `at launch: ${valueWord(value)}`)}
          onChange={(text) => {
            onPut({ launch: chosenValue(fact, text) }, `${fact.label} is ${text} at the launch`);
          }}
        />
        <Button tone="quiet" icon="x" aria-label={`Take out the fact ${fact.label}`} onClick={onTakeOut} />
      </div>
      <p className="mono text-[12px] text-ink-2">{fact.id}</p>
      <Line label="Can be">
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
      <Block>
        <Check
          checked={fact.lasting !== false}
          onChange={(lasting) =>
            onPut({ lasting: lasting ? undefined : false }, `${fact.label} ${lasting ? "lasts" : "does not last"}`)
          }
        >
          Stays so when the app has ended
        </Check>
      </Block>
    </fieldset>
  );
}
