import { bandsOf, factsOf, factValues, type Frame, onlySays, targetsOf, compact } from "../../../../core/index.js";
import type { Action } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";

type Only = NonNullable<Action["only"]>;

const toggled = (all: readonly string[], now: readonly string[] | undefined, id: string): string[] | undefined => {
  const next = all.filter((other) => (other === id) !== (now ?? all).includes(other));
  return next.length === all.length || next.length === 0 ? undefined : next;
};

/** Where something is there alone: on some targets, at some widths, while facts are so. */
export function OnlyLines({
  frame,
  only = {},
  onChange,
}: {
  frame: Frame;
  only: Only | undefined;
  onChange: (only: Only | undefined) => void;
}) {
  const targets = targetsOf(frame).map((target) => target.id);
  const bands = bandsOf(frame).map((band) => band.id);
  const choices = (key: "targets" | "bands", all: readonly string[], name: string) =>
    all.length > 1 && (
      <span className="flex flex-wrap items-center gap-2">
        {all.map((id) => (
          <button
            key={id}
            type="button"
            aria-label={`${name} ${id}`}
            aria-pressed={(only[key] ?? all).includes(id)}
            className="h-6.5 rounded-sm border border-field bg-plate-2 px-1.5 aria-pressed:border-petrol aria-pressed:bg-petrol-soft"
            onClick={() => onChange(compact<Only>({ ...only, [key]: toggled(all, only[key], id) }))}
          >
            {id}
          </button>
        ))}
      </span>
    );
  return (
    <span className="flex w-full flex-wrap items-center gap-x-4 gap-y-1 text-[12.5px]">
      <span className="text-ink-2">There {onlySays(frame, compact<Only>(only)) || "everywhere"}</span>
      {choices("targets", targets, "On")}
      {choices("bands", bands, "At")}
      {factsOf(frame).map((fact) => (
        <Select
          key={fact.id}
          label={`While ${fact.label}`}
          value={only.facts?.[fact.id] === undefined ? "any" : String(only.facts[fact.id])}
          options={[
            { value: "any", label: `${fact.label}: any` },
            ...factValues(fact).map((value) => ({ value: String(value), label: `${fact.label}: ${String(value)}` })),
          ]}
          onChange={(text) => {
            const { [fact.id]: _, ...rest } = only.facts ?? {};
            const value = factValues(fact).find((each) => String(each) === text);
            const facts = value === undefined ? rest : { ...rest, [fact.id]: value };
            onChange(compact<Only>({ ...only, facts: Object.keys(facts).length ? facts : undefined }));
          }}
        />
      ))}
    </span>
  );
}
