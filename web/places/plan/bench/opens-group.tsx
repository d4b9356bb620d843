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
import { Block, Fields, Line, Name, Says } from "./group.js";

function Covers() {
  const { frame, id, said, set } = useBench();
  const node = useNode();
  const [place] = placesOf(frame, id);
  return (
    <Block>
      <Name label="What it lies over" of="over" />
      <Choice
        label="What it lies over"
        value={heldBy(node, "over")}
        options={[
          { value: "all", label: "everything" },
          { value: "region", label: place === undefined ? "its stack alone" : `${nameOf(frame, place)} alone` },
        ]}
        onChange={(value) =>
          set("over", value === "all" ? undefined : value, value === "all" ? "over everything" : "over its stack alone")
        }
      />
      <Says>{said.over}</Says>
    </Block>
  );
}

function Rests() {
  const { said, set } = useBench();
  const rests = heldBy(useNode(), "rest");
  return (
    <Line label="Stands as high as" of="rest" says={said.rest}>
      <TextLine
        aria-label="Heights it stands at, in percent"
        className="w-28!"
        value={rests.map((rest) => String(Math.round(rest * 100))).join(", ")}
        wrong={wrongRests}
        onDone={(text) => set("rest", readRests(text), `stands at ${text} %`)}
      />
      <span className="text-ink-2">% of the view</span>
    </Line>
  );
}

function FromEdge() {
  const { said, set } = useBench();
  return (
    <Line label="Comes from" of="edge" says={said.edge}>
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
    <Fields>
      <Block>
        <Name label="Opens as" of="opens" />
        <Choice
          label="Opens as"
          value={isVaried(nodeAt(frame, id), "opens") ? "" : heldBy(nodeAt(frame, id), "opens")}
          options={optionsOf("opens", true)}
          onChange={(value) => set("opens", value === "push" ? undefined : value, `opens as ${value}`)}
        />
        <Says>{said.opens}</Says>
        <p className="sr-only">In this view it opens as {lensOf(frame, view).look(id).opens}.</p>
      </Block>
      <Block>
        <ByView of="opens" name="Opens as" />
      </Block>
      {ways.some((opens) => opens !== "push") && <Covers />}
      {ways.includes("sheet") && <Rests />}
      {ways.includes("side") && <FromEdge />}
    </Fields>
  );
}
