import {
  compact,
  type Action,
  type Do,
  type DoOpen,
  factsOf,
  type Frame,
  type How,
  type Id,
  nameOf,
  type Opens,
  settingDeed,
  sure,
  motionAt,
  motionIds,
} from "../../../../core/index.js";
import { chosenValue, factOptions } from "../../../parts/fact-options.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { namesIn } from "../acting/edits.js";
import { Block, Line, Name } from "./group.js";
import { TemplateLine } from "./template-line.js";

type DoSet = Extract<Do, { kind: "set" }>;

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
  { value: "add", label: "on top of this screen" },
  { value: "replace", label: "in place of this screen" },
  { value: "clear", label: "alone: all beneath it goes" },
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
    <Line key={name} label={`hands over ${name}`}>
      <TextLine
        className="mono text-[12px]"
        title="A text, {a param of this screen} or {draft.a field of it}"
        value={open.params?.[name] ?? ""}
        placeholder="nothing"
        onDone={(value) => {
          const { [name]: _, ...rest } = open.params ?? {};
          onChange({ ...open, params: value === "" ? rest : { ...rest, [name]: value } }, `hands ${name} ${value}`);
        }}
      />
    </Line>
  ));
}

/** An action without one of its keys. */
const without = <D extends Do>(value: D, key: keyof D): D => compact<D>({ ...value, [key]: undefined }) ?? value;

/** Everything about what an action does. */
export function DoLines(props: DoLinesProps) {
  const { frame, from, action, onChange } = props;
  const act = action.do;
  const make = (kind: Do["kind"]): Do | null => {
    if (kind === "open") {
      const [to] = openable(frame, from);
      return to === undefined ? null : { kind, to };
    }
    return kind === "set" ? settingDeed(frame, from) : { kind };
  };
  return (
    <>
      <Line label="Does">
        <Select
          className="max-w-full"
          label={`What ${action.label} does`}
          value={act.kind}
          options={kinds.filter(({ value }) => value !== "set" || factsOf(frame).length > 0 || act.kind === "set")}
          onChange={(kind) => {
            const next = make(kind);
            if (next) onChange(next, sure(kinds.find(({ value }) => value === kind)).label);
          }}
        />
      </Line>
      {act.kind === "open" && <Opening {...props} open={act} />}
      {act.kind === "close" && (
        <TemplateLine
          label="gives back"
          value={act.give}
          onChange={(give) => onChange(give ? { ...act, give } : without(act, "give"), "gives back")}
        />
      )}
      {act.kind === "set" && <Setting {...props} set={act} />}
    </>
  );
}

/** What an action of a screen can open. */
const openable = (frame: Frame, from: Id): Id[] =>
  Object.keys(frame.nodes).filter((other) => other !== from && other !== frame.root);

/** What is opened, how, as what, and with what. */
function Opening({ frame, from, action, onChange, open }: DoLinesProps & { open: DoOpen }) {
  return (
    <>
      <Line label="Leads to">
        <Select
          label={`Where ${action.label} leads`}
          className="max-w-full"
          value={open.to}
          options={openable(frame, from).map((id) => ({ value: id, label: nameOf(frame, id) }))}
          onChange={(to) => onChange({ ...without(open, "params"), to }, `leads to ${nameOf(frame, to)}`)}
        />
      </Line>
      <Line label="Which is laid">
        <Select
          className="max-w-full"
          label={`How ${action.label} opens`}
          value={open.how ?? "add"}
          options={hows}
          onChange={(how) => onChange({ ...open, how }, how)}
        />
      </Line>
      <Line label="And appears">
        <Select
          className="max-w-full"
          label={`As what ${action.label} opens it`}
          value={open.as ?? "own"}
          options={ases}
          onChange={(as) => onChange(as === "own" ? without(open, "as") : { ...open, as }, `opens ${as}`)}
        />
      </Line>
      <Line label="Moving">
        <Select
          className="max-w-full"
          label={`By which motion ${action.label} opens it`}
          value={open.motion ?? ""}
          options={[
            { value: "", label: "as usual" },
            ...motionIds(frame).map((id) => ({ value: id, label: `by ${motionAt(frame, id)?.name ?? id}` })),
          ]}
          onChange={(motion) => onChange(motion ? { ...open, motion } : without(open, "motion"), `moves by ${motion}`)}
        />
      </Line>
      <Params frame={frame} open={open} onChange={onChange} />
      <TemplateLine
        label="with"
        value={open.with}
        onChange={(values) => onChange(values ? { ...open, with: values } : without(open, "with"), "hands over")}
      />
    </>
  );
}

/** Which fact is set to what, and what is done then. */
function Setting({ frame, from, onChange, set }: DoLinesProps & { set: DoSet }) {
  const facts = factsOf(frame);
  const fact = facts.find(({ id }) => id === set.fact);
  return (
    <>
      <Line label="The fact">
        <Select
          className="max-w-full"
          label="The fact"
          value={set.fact}
          options={facts.map(({ id, label }) => ({ value: id, label }))}
          onChange={(next) => {
            const deed = settingDeed(frame, from, next);
            if (deed) onChange({ ...set, ...deed }, `sets ${next}`);
          }}
        />
        {fact && (
          <Select
            label="Its value"
            value={String(set.is)}
            options={factOptions(fact)}
            onChange={(text) => onChange({ ...set, is: chosenValue(fact, text) }, `sets ${set.fact} ${text}`)}
          />
        )}
      </Line>
      <Block>
        <Name label="And then" />
        {set.then ? (
          <DoLines
            frame={frame}
            from={from}
            action={{ label: "then", do: set.then }}
            onChange={(then, label) => onChange({ ...set, then }, `then ${label}`)}
          />
        ) : (
          <button
            type="button"
            className="self-start text-petrol underline"
            onClick={() => onChange({ ...set, then: { kind: "back" } }, "then goes back")}
          >
            do something more
          </button>
        )}
      </Block>
    </>
  );
}
