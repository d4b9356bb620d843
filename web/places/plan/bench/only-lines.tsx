import {
  bandsOf,
  compact,
  type Condition,
  conditionsOf,
  factsOf,
  factValues,
  firstOf,
  type Frame,
  type Id,
  lastOf,
  type Only,
  onlySays,
  targetsOf,
} from "../../../../core/index.js";
import { bandRange } from "../../../parts/band-words.js";
import { Select } from "../../../parts/select.js";

interface ConditionLineProps {
  frame: Frame;
  condition: Condition;
  /** Undefined where nothing is limited any more. */
  onChange: (condition: Condition | undefined) => void;
}

const toggled = (all: readonly Id[], now: readonly Id[] | undefined, id: Id): Id[] | undefined => {
  const next = all.filter((other) => (other === id) !== (now ?? all).includes(other));
  return next.length === all.length || next.length === 0 ? undefined : next;
};

/** On which targets something is there alone. */
function Targets({ frame, condition, onChange }: ConditionLineProps) {
  const all = targetsOf(frame);
  const targets = all.map(({ id }) => id);
  if (targets.length < 2) return null;
  return (
    <span className="flex flex-wrap items-center gap-2">
      {all.map(({ id, label }) => (
        <button
          key={id}
          type="button"
          aria-label={`On ${label}`}
          aria-pressed={(condition.on ?? targets).includes(id)}
          className="h-6.5 rounded-sm border border-field bg-plate-2 px-1.5 aria-pressed:border-petrol aria-pressed:bg-petrol-soft"
          onClick={() => onChange(compact<Condition>({ ...condition, on: toggled(targets, condition.on, id) }))}
        >
          {label}
        </button>
      ))}
    </span>
  );
}

/** In which bands: from one to another. */
function Bands({ frame, condition, onChange }: ConditionLineProps) {
  const bands = bandsOf(frame).map(({ id }) => id);
  if (bands.length < 2) return null;
  const place = (id: Id | undefined, otherwise: number) => (id === undefined ? otherwise : bands.indexOf(id));
  const [from, to] = [place(condition.from, 0), place(condition.to, bands.length - 1)];
  const put = (first: number, last: number) =>
    onChange(
      compact<Condition>({
        ...condition,
        from: first > 0 ? bands[first] : undefined,
        to: last < bands.length - 1 ? bands[last] : undefined,
      }),
    );
  const options = bands.map((id, i) => ({ value: String(i), label: `${id} (${bandRange(bandsOf(frame), id)})` }));
  return (
    <span className="flex flex-wrap items-center gap-1">
      width from
      <Select
        label="From the band"
        value={String(from)}
        options={options}
        onChange={(i) => put(Number(i), Math.max(Number(i), to))}
      />
      to
      <Select
        label="To the band"
        value={String(to)}
        options={options}
        onChange={(i) => put(Math.min(from, Number(i)), Number(i))}
      />
    </span>
  );
}

function Facts({ frame, condition, onChange }: ConditionLineProps) {
  return factsOf(frame).map((fact) => (
    <Select
      key={fact.id}
      label={`While ${fact.label}`}
      value={condition.facts?.[fact.id] === undefined ? "any" : String(condition.facts[fact.id])}
      options={[
        { value: "any", label: `${fact.label}: any` },
        ...factValues(fact).map((value) => ({ value: String(value), label: `${fact.label}: ${String(value)}` })),
      ]}
      onChange={(text) => {
        const { [fact.id]: _, ...rest } = condition.facts ?? {};
        const value = factValues(fact).find((each) => String(each) === text);
        const facts = value === undefined ? rest : { ...rest, [fact.id]: value };
        onChange(compact<Condition>({ ...condition, facts: Object.keys(facts).length ? facts : undefined }));
      }}
    />
  ));
}

/** One condition: on some targets, at some widths, in low views, while facts are so. */
function ConditionLine(props: ConditionLineProps) {
  const { frame, condition, onChange } = props;
  return (
    <span className="flex w-full flex-wrap items-center gap-x-4 gap-y-1">
      <Targets {...props} />
      <Bands {...props} />
      {frame.short !== undefined && (
        <Select
          label="In low views"
          value={condition.short ? "low" : "any"}
          options={[
            { value: "any", label: "low or not" },
            { value: "low", label: "low alone" },
          ]}
          onChange={(value) => onChange(compact<Condition>({ ...condition, short: value === "low" || undefined }))}
        />
      )}
      <Facts {...props} />
    </span>
  );
}

/** A condition to begin with. */
const elsewhere = (frame: Frame): Condition =>
  targetsOf(frame).length > 1 ? { on: [firstOf(targetsOf(frame)).id] } : { from: lastOf(bandsOf(frame)).id };

/** Where something is there alone: one of some conditions holds. */
export function OnlyLines({
  frame,
  only = {},
  onChange,
}: {
  frame: Frame;
  only: Only | undefined;
  onChange: (only: Only | undefined) => void;
}) {
  const conditions = conditionsOf(only);
  // a condition that limits nothing holds everywhere, whatever the others say
  const put = (next: readonly (Condition | undefined)[]) => {
    const held = next.filter((condition) => condition !== undefined);
    if (held.length < next.length) onChange(undefined);
    else onChange(held.length === 1 ? held[0] : [...held]);
  };
  return (
    <span className="flex w-full flex-col items-start gap-1 text-[12.5px]">
      <span className="text-ink-2">
        There {onlySays(frame, Array.isArray(only) ? only : compact<Condition>(only)) || "everywhere"}
      </span>
      {conditions.map((condition, i) => (
        <span key={i} className="flex w-full items-start gap-2">
          {i > 0 && <span className="text-ink-2">or</span>}
          <ConditionLine
            frame={frame}
            condition={condition}
            onChange={(next) => put(conditions.map((each, n) => (n === i ? next : each)))}
          />
        </span>
      ))}
      <span className="flex gap-3 text-petrol">
        {conditions.some((condition) => compact<Condition>(condition)) && (
          <button type="button" className="underline" onClick={() => onChange([...conditions, elsewhere(frame)])}>
            Or elsewhere
          </button>
        )}
        {conditions.length !== 1 && (
          <button type="button" className="underline" onClick={() => onChange(undefined)}>
            Everywhere
          </button>
        )}
      </span>
    </span>
  );
}
