import { bandsOf, edgeOf, nameOf, opensOf, overOf, placesOf, restOf, targetsOf, type Opens } from "../../../../core/index.js";
import { Choice } from "../../../parts/choice.js";
import { Select } from "../../../parts/select.js";
import { readRests, wrongRests } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, type GroupProps, Line, Says } from "./group.js";

const kinds: { value: Opens; label: string; says: string }[] = [
  { value: "push", label: "Push", says: "laid on top of its stack" },
  { value: "sheet", label: "Sheet", says: "from the foot, as high as it rests" },
  { value: "fullscreen", label: "Full", says: "over everything, closed from inside" },
  { value: "dialog", label: "Dialog", says: "in the middle" },
  { value: "side", label: "Side", says: "from an edge, as high as the device" },
];

/** How a node appears when its stack shows it: for all, and otherwise at some widths and on some targets. */
export function OpensGroup({ frame, view, id, node, said, set }: GroupProps) {
  const bands = bandsOf(frame);
  const targets = targetsOf(frame);
  const own = node.opens ?? "push";
  const now = opensOf(frame, node, view);
  const some = [own, ...Object.values(node.opensIn ?? {}), ...Object.values(node.opensOn ?? {})];
  const others = (map: Record<string, Opens> | undefined, key: string, value: string) => {
    const { [key]: _, ...rest } = map ?? {};
    const next = value === "as" ? rest : { ...rest, [key]: value };
    return Object.keys(next).length ? next : undefined;
  };
  const options = [{ value: "as", label: "as above" }, ...kinds.map(({ value, label }) => ({ value, label }))];
  const place = placesOf(frame, id)[0];
  return (
    <Group title="Opens as" of="opens" wide room="min-w-60">
      <Choice
        label="Opens as"
        value={own}
        options={kinds}
        onChange={(value) => set("opens", value === "push" ? undefined : value, `opens as ${value}`)}
      />
      <Says>{said.opens}</Says>
      {some.some((kind) => kind !== "push") && (
        <>
          <Line label="Covers" of="over">
            <Choice
              label="What it covers"
              value={overOf(node)}
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
      )}
      {some.includes("sheet") && (
        <>
          <Line label="Rests at" of="rest">
            <TextLine
              aria-label="Resting heights in percent"
              value={restOf(node)
                .map((rest) => String(Math.round(rest * 100)))
                .join(", ")}
              wrong={wrongRests}
              onDone={(text) => set("rest", readRests(text), `rests at ${text}`)}
            />
            <span className="text-ink-2">%</span>
          </Line>
          <Says inset>{said.rest}</Says>
        </>
      )}
      {some.includes("side") && (
        <>
          <Line label="From" of="edge">
            <Choice
              label="The edge it comes from"
              value={edgeOf(node)}
              options={[
                { value: "start", label: "the start" },
                { value: "end", label: "the end" },
              ]}
              onChange={(value) => set("edge", value === "start" ? undefined : value, `from the ${value}`)}
            />
          </Line>
          <Says inset>{said.edge}</Says>
        </>
      )}
      {bands.slice(1).map((band) => (
        <Line key={band.id} label={`${band.id} ${band.from}+`} of="opensIn">
          <Select
            label={`Opens at ${band.id}`}
            className="grow"
            value={node.opensIn?.[band.id] ?? "as"}
            options={options}
            onChange={(value) => set("opensIn", others(node.opensIn, band.id, value), `${value} at ${band.id}`)}
          />
        </Line>
      ))}
      {targets.length > 1 &&
        targets.map((target) => (
          <Line key={target.id} label={target.id} of="opensOn">
            <Select
              label={`Opens on ${target.label}`}
              className="grow"
              value={node.opensOn?.[target.id] ?? "as"}
              options={options}
              onChange={(value) => set("opensOn", others(node.opensOn, target.id, value), `${value} on ${target.id}`)}
            />
          </Line>
        ))}
      <p className="sr-only">In this view it opens as {now}.</p>
    </Group>
  );
}
