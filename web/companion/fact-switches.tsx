import { Switch } from "radix-ui";
import { factAtLaunch, factsOf, valueWord } from "../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../app/open-frame.js";
import { chosenValue, factOptions } from "../parts/fact-options.js";

/** The facts as they are on the device, each with a switch of its own. */
export function FactSwitches() {
  const opened = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const { facts } = useLive((live) => live.device.at.state);
  if (factsOf(frame).length === 0) return null;
  return (
    <div role="group" aria-label="Facts" className="flex max-h-16 flex-wrap gap-x-3 gap-y-1 overflow-y-auto">
      {factsOf(frame).map((fact) => {
        const is = facts[fact.id] ?? factAtLaunch(fact);
        return fact.values === undefined ? (
          <label key={fact.id} className="flex items-center gap-1.5">
            <Switch.Root
              checked={is === true}
              onCheckedChange={(next) => opened.live.send({ do: "fact", id: fact.id, is: next })}
              className="h-4.5 w-8 shrink-0 rounded-full border border-field bg-plate-2 data-[state=checked]:border-petrol data-[state=checked]:bg-petrol"
            >
              <Switch.Thumb className="block size-3 translate-x-0.5 rounded-full bg-ink-2 data-[state=checked]:translate-x-4 data-[state=checked]:bg-on-petrol" />
            </Switch.Root>
            {fact.label}
          </label>
        ) : (
          <label key={fact.id} className="flex items-center gap-1.5">
            {fact.label}
            <select
              className="h-6.5 rounded-sm border border-field bg-plate-2 px-1"
              value={String(is)}
              onChange={(event) =>
                opened.live.send({ do: "fact", id: fact.id, is: chosenValue(fact, event.target.value) })
              }
            >
              {factOptions(fact, valueWord).map(({ value, label }) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
          </label>
        );
      })}
    </div>
  );
}
