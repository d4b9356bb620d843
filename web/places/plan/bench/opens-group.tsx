import {
  bandsOf,
  heldBy,
  type Id,
  lensOf,
  nameOf,
  type Opens,
  optionsOf,
  placesOf,
  type NodeKey,
  targetsOf,
} from "../../../../core/index.js";
import { Choice } from "../../../parts/choice.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { readRests, wrongRests } from "../../../parts/wrong.js";
import { useBench, useNode } from "./bench-context.js";
import { Group, Line, Says } from "./group.js";

function Covers() {
  const { frame, id, said, set } = useBench();
  const node = useNode();
  const [place] = placesOf(frame, id);
  return (
    <>
      <Line label="Covers" of="over">
        <Choice
          label="What it covers"
          value={heldBy(node, "over")}
          options={[
            { value: "all", label: "everything" },
            { value: "region", label: place === undefined ? "its region" : nameOf(frame, place) },
          ]}
          onChange={(value) =>
            set("over", value === "all" ? undefined : value, value === "all" ? "covers all" : "covers its region")
          }
        />
      </Line>
      <Says inset>{said.over}</Says>
    </>
  );
}

function Rests() {
  const { said, set } = useBench();
  const rests = heldBy(useNode(), "rest");
  return (
    <>
      <Line label="Rests at" of="rest">
        <TextLine
          aria-label="Resting heights in percent"
          value={rests.map((rest) => String(Math.round(rest * 100))).join(", ")}
          wrong={wrongRests}
          onDone={(text) => set("rest", readRests(text), `rests at ${text}`)}
        />
        <span className="text-ink-2">%</span>
      </Line>
      <Says inset>{said.rest}</Says>
    </>
  );
}

function FromEdge() {
  const { said, set } = useBench();
  return (
    <>
      <Line label="From" of="edge">
        <Choice
          label="The edge it comes from"
          value={heldBy(useNode(), "edge")}
          options={[
            { value: "start", label: "the start" },
            { value: "end", label: "the end" },
          ]}
          onChange={(value) => set("edge", value === "start" ? undefined : value, `from the ${value}`)}
        />
      </Line>
      <Says inset>{said.edge}</Says>
    </>
  );
}

interface ByViewProps {
  of: NodeKey & ("opensIn" | "opensOn");
  id: Id;
  /** What stands before the choice, and its whole name. */
  line: string;
  label: string;
  /** The end of what the change is called. */
  where: string;
}

/** How it opens in one band or on one target, where that is another than everywhere. */
function OpensByView({ of, id, line, label, where }: ByViewProps) {
  const { set } = useBench();
  const map: Readonly<Record<Id, Opens>> = heldBy(useNode(), of);
  const options = [{ value: "as", label: "as above" }, ...optionsOf("opens", true)];
  const put = (value: string) => {
    const { [id]: _, ...rest } = map;
    const next = value === "as" ? rest : { ...rest, [id]: value };
    set(of, Object.keys(next).length ? next : undefined, `${value} ${where}`);
  };
  return (
    <Line label={line} of={of}>
      <Select label={label} className="grow" value={map[id] ?? "as"} options={options} onChange={put} />
    </Line>
  );
}

/** How a node appears when its stack shows it: for all, and otherwise at some widths and on some targets. */
export function OpensGroup() {
  const { frame, view, id, said, set } = useBench();
  const node = useNode();
  const targets = targetsOf(frame);
  const own = heldBy(node, "opens");
  const some: readonly string[] = [
    own,
    ...Object.values(heldBy(node, "opensIn")),
    ...Object.values(heldBy(node, "opensOn")),
  ];
  return (
    <Group title="Opens as" of="opens" wide room="min-w-60">
      <Choice
        label="Opens as"
        value={own}
        options={optionsOf("opens", true)}
        onChange={(value) => set("opens", value === "push" ? undefined : value, `opens as ${value}`)}
      />
      <Says>{said.opens}</Says>
      {some.some((kind) => kind !== "push") && <Covers />}
      {some.includes("sheet") && <Rests />}
      {some.includes("side") && <FromEdge />}
      {bandsOf(frame)
        .slice(1)
        .map(({ id: band, from }) => (
          <OpensByView
            key={band}
            of="opensIn"
            id={band}
            line={`${band} ${from}+`}
            label={`Opens at ${band}`}
            where={`at ${band}`}
          />
        ))}
      {targets.length > 1 &&
        targets.map(({ id: target, label }) => (
          <OpensByView
            key={target}
            of="opensOn"
            id={target}
            line={target}
            label={`Opens on ${label}`}
            where={`on ${target}`}
          />
        ))}
      <p className="sr-only">In this view it opens as {lensOf(frame, view).look(id).opens}.</p>
    </Group>
  );
}
