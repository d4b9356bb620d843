import {
  compact,
  type Action,
  type Do,
  type DoOpen,
  factsOf,
  factValues,
  type Frame,
  type How,
  type Id,
  nameOf,
  type Opens,
  settingDeed,
  sure,
  firstOf,
} from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { namesIn } from "../edits.js";
import { TemplateLine } from "./template-line.js";

export interface DoLinesProps {
  frame: Frame;
  from: Id;
  action: Pick<Action, "label" | "do">;
  onChange: (next: Do, label: string) => void;
}

const kinds: { value: Do["kind"]; label: string }[] = [
  { value: "open", label: "opens" },
  { value: "back", label: "goes back" },
  { value: "close", label: "closes" },
  { value: "root", label: "to the first of its stack" },
  { value: "set", label: "sets a fact" },
  { value: "menu", label: "opens the drawer" },
];
const hows: { value: How; label: string }[] = [
  { value: "add", label: "on top" },
  { value: "replace", label: "instead of this" },
  { value: "clear", label: "clears the way" },
];
const ases: { value: Opens | "own"; label: string }[] = [
  { value: "own", label: "as it says itself" },
  { value: "push", label: "as a push" },
  { value: "sheet", label: "as a sheet" },
  { value: "fullscreen", label: "as a full screen" },
  { value: "dialog", label: "as a dialog" },
  { value: "side", label: "as a side panel" },
];

/** The params that an open hands over: a line for each one that the target's address names. */
function Params({ frame, open, onChange }: { frame: Frame; open: DoOpen; onChange: DoLinesProps["onChange"] }) {
  const target = frame.nodes[open.to];
  const names = target?.kind === "screen" ? namesIn(target) : [];
  return names.map((name) => (
    <label key={name} className="flex items-center gap-1">
      <span className="mono text-ink-2">{name}</span>
      <TextLine
        className="mono w-20! text-[12px]"
        title="A text, {a param of this screen} or {draft.a field of it}"
        value={open.params?.[name] ?? ""}
        placeholder="nothing"
        onDone={(value) => {
          const { [name]: _, ...rest } = open.params ?? {};
          onChange({ ...open, params: value === "" ? rest : { ...rest, [name]: value } }, `hands ${name} ${value}`);
        }}
      />
    </label>
  ));
}

/** An action without one of its keys. */
const without = <D extends Do>(value: D, key: keyof D): D => compact<D>({ ...value, [key]: undefined }) ?? value;

/** Everything about what an action does. */
export function DoLines({ frame, from, action, onChange }: DoLinesProps) {
  const act = action.do;
  const facts = factsOf(frame);
  const others = Object.keys(frame.nodes).filter((other) => other !== from && other !== frame.root);
  const make = (kind: Do["kind"]): Do | null => {
    if (kind === "open") return others[0] ? { kind, to: others[0] } : null;
    return kind === "set" ? settingDeed(frame, from) : { kind };
  };
  return (
    <span className="flex w-full flex-wrap items-center gap-1.5">
      <Select
        label={`What ${action.label} does`}
        value={act.kind}
        options={kinds.filter(({ value }) => value !== "set" || facts.length > 0 || act.kind === "set")}
        onChange={(kind) => {
          const next = make(kind);
          if (next) onChange(next, sure(kinds.find(({ value }) => value === kind)).label);
        }}
      />
      {act.kind === "open" && (
        <>
          <Select
            label={`Where ${action.label} leads`}
            className="max-w-40"
            value={act.to}
            options={others.map((id) => ({ value: id, label: nameOf(frame, id) }))}
            onChange={(to) => onChange({ ...without(act, "params"), to }, `leads to ${nameOf(frame, to)}`)}
          />
          <Select
            label={`How ${action.label} opens`}
            value={act.how ?? "add"}
            options={hows}
            onChange={(how) => onChange({ ...act, how }, how)}
          />
          <Select
            label={`As what ${action.label} opens it`}
            value={act.as ?? "own"}
            options={ases}
            onChange={(as) => onChange(as === "own" ? without(act, "as") : { ...act, as }, `opens ${as}`)}
          />
          <Params frame={frame} open={act} onChange={onChange} />
          <TemplateLine
            label="with"
            value={act.with}
            onChange={(values) => onChange(values ? { ...act, with: values } : without(act, "with"), "hands over")}
          />
        </>
      )}
      {act.kind === "close" && (
        <TemplateLine
          label="gives back"
          value={act.give}
          onChange={(give) => onChange(give ? { ...act, give } : without(act, "give"), "gives back")}
        />
      )}
      {act.kind === "set" && (
        <>
          <Select
            label="The fact"
            value={act.fact}
            options={facts.map(({ id, label }) => ({ value: id, label }))}
            onChange={(fact) => {
              const deed = settingDeed(frame, from, fact);
              if (deed) onChange({ ...act, ...deed }, `sets ${fact}`);
            }}
          />
          <Select
            label="Its value"
            value={String(act.is)}
            options={factValues(facts.find(({ id }) => id === act.fact) ?? firstOf(facts)).map((value) => ({
              value: String(value),
              label: String(value),
            }))}
            onChange={(text) => {
              const found = sure(facts.find(({ id }) => id === act.fact));
              const is = sure(factValues(found).find((value) => String(value) === text));
              onChange({ ...act, is }, `sets ${act.fact} ${text}`);
            }}
          />
          <span className="text-ink-2">then</span>
          {act.then ? (
            <DoLines
              frame={frame}
              from={from}
              action={{ label: "then", do: act.then }}
              onChange={(then, label) => onChange({ ...act, then }, `then ${label}`)}
            />
          ) : (
            <button
              type="button"
              className="underline"
              onClick={() => onChange({ ...act, then: { kind: "back" } }, "then goes back")}
            >
              do something more
            </button>
          )}
        </>
      )}
    </span>
  );
}
