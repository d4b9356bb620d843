import {
  bandsOf,
  type Frame,
  heldBy,
  type Id,
  isVaried,
  lensOf,
  lookOf,
  nameOf,
  nodeAt,
  type Opens,
  optionsOf,
  placesOf,
  targetsOf,
} from "../../../../core/index.js";
import { ByView } from "../../../parts/by-view.js";
import { Choice } from "../../../parts/choice.js";
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

/** Every way in which a node opens somewhere. */
const waysOf = (frame: Frame, id: Id): readonly Opens[] =>
  targetsOf(frame).flatMap(({ id: target }) =>
    bandsOf(frame).flatMap((_, band) => [false, true].map((short) => lookOf(frame, id, { target, band, short }).opens)),
  );

/** How a node appears when its stack shows it: for all, and otherwise at some widths and on some targets. */
export function OpensGroup() {
  const { frame, view, id, said, set } = useBench();
  const ways = waysOf(frame, id);
  return (
    <Group title="Opens as" of="opens" wide room="min-w-60">
      <Choice
        label="Opens as"
        value={isVaried(nodeAt(frame, id), "opens") ? "" : heldBy(nodeAt(frame, id), "opens")}
        options={optionsOf("opens", true)}
        onChange={(value) => set("opens", value === "push" ? undefined : value, `opens as ${value}`)}
      />
      <Says>{said.opens}</Says>
      {ways.some((opens) => opens !== "push") && <Covers />}
      {ways.includes("sheet") && <Rests />}
      {ways.includes("side") && <FromEdge />}
      <ByView of="opens" name="Opens as" />
      <p className="sr-only">In this view it opens as {lensOf(frame, view).look(id).opens}.</p>
    </Group>
  );
}
