import { type Again, againOf, backOf, bandsOf, type Face, type HubBack, type HubNode, type Keep, keepOf, labelsOf, limitOf, targetsOf } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Choice } from "../../../parts/choice.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { Select } from "../../../parts/select.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { NoteLine, StartLine, TitleLine } from "./common-lines.js";
import { SetMark } from "../../../parts/set-mark.js";
import { Group, type GroupProps, Line, Says } from "./group.js";

const faces: { value: Face; label: string }[] = [
  { value: "bar", label: "bar" },
  { value: "top", label: "top" },
  { value: "rail", label: "rail" },
  { value: "panel", label: "panel" },
  { value: "drawer", label: "drawer" },
];

/** How a hub shows at each width, for all targets and otherwise on some. */
export function FacesGroup({ frame, node, said, set }: GroupProps<HubNode>) {
  const bands = bandsOf(frame);
  const targets = targetsOf(frame);
  const own = node.faces ?? { [bands[0]!.id]: "bar" as const };
  const put = (map: Readonly<Record<string, Face>>, band: string, face: Face | "as") => {
    const { [band]: _, ...rest } = map;
    return face === "as" ? rest : { ...rest, [band]: face };
  };
  const onTarget = (target: string, band: string, face: Face | "as") => {
    const next = put(node.facesOn?.[target] ?? {}, band, face);
    const { [target]: _, ...rest } = node.facesOn ?? {};
    const all = Object.keys(next).length ? { ...rest, [target]: next } : rest;
    set("facesOn", Object.keys(all).length ? all : undefined, `${face} at ${band} on ${target}`);
  };
  return (
    <Group title="Faces" of="faces" says={said.faces} wide room="min-w-84">
      <table className="w-full border-separate border-spacing-x-1 border-spacing-y-0.5">
        <thead>
          <tr className="text-left text-ink-2">
            <th className="font-normal">from</th>
            <th className="font-normal">everywhere</th>
            {targets.length > 1 &&
              targets.map(({ id, label }) => (
                <th key={id} className="max-w-20 truncate font-normal" title={label}>
                  on {id}
                </th>
              ))}
          </tr>
        </thead>
        <tbody>
          {bands.map((band, i) => (
            <tr key={band.id}>
              <td className="whitespace-nowrap text-ink-2">
                {band.id} {band.from}
              </td>
              <td>
                <Select
                  label={`Face at ${band.id}`}
                  className="w-full"
                  value={own[band.id] ?? "as"}
                  options={[{ value: "as", label: i === 0 ? "none" : "as narrower" }, ...faces]}
                  onChange={(face) => set("faces", put(own, band.id, face), `${face} at ${band.id}`)}
                />
              </td>
              {targets.length > 1 &&
                targets.map(({ id, label }) => (
                  <td key={id}>
                    <Select
                      label={`Face at ${band.id} on ${label}`}
                      className="w-full"
                      value={node.facesOn?.[id]?.[band.id] ?? "as"}
                      options={[{ value: "as", label: "same" }, ...faces]}
                      onChange={(face) => onTarget(id, band.id, face)}
                    />
                  </td>
                ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Line label="When low" of="shortFace">
        <Select
          label="Face of a low view"
          className="grow"
          value={node.shortFace ?? "as"}
          options={[{ value: "as", label: frame.short ? "the same" : "no view counts as low" }, ...faces]}
          onChange={(face) => set("shortFace", face === "as" ? undefined : face, `${face} when low`)}
        />
      </Line>
      <Line label="At most" of="limit">
        <TextLine
          inputMode="numeric"
          className="w-12!"
          value={String(limitOf(node))}
          wrong={wrongWhole(2, 999)}
          onDone={(text) => set("limit", Number(text), `${text.trim()} tabs at most`)}
        />
        <span className="truncate text-ink-2" title={said.limit}>
          {said.limit}
        </span>
      </Line>
    </Group>
  );
}

const keeps: { value: Keep; label: string }[] = [
  { value: "live", label: "everything" },
  { value: "place", label: "the place" },
  { value: "fresh", label: "nothing" },
];
const agains: { value: Again; label: string }[] = [
  { value: "root", label: "first screen" },
  { value: "top", label: "scroll up" },
  { value: "none", label: "nothing" },
];
const backs: { value: HubBack; label: string }[] = [
  { value: "start", label: "start tab" },
  { value: "visited", label: "tab before" },
  { value: "leave", label: "out at once" },
];

/** What a hub's tabs keep and what Back does between them. */
export function HubRulesGroup({ frame, node, said, set }: GroupProps<HubNode>) {
  const [keep, again, back] = [keepOf(node), againOf(node), backOf(node)];
  return (
    <>
      <Group title="A tab that is left keeps" of="keep">
        <Choice
          label="A tab that is left keeps"
          value={keep}
          options={keeps}
          onChange={(value) => set("keep", value, `tabs keep ${value}`)}
        />
        <Says>{said.keep}</Says>
        <h3 className="mt-1 flex items-center gap-1 font-bold">
          Choosing it again <SetMark of="again" />
        </h3>
        <Choice
          label="Choosing the chosen tab"
          value={again}
          options={agains}
          onChange={(value) => set("again", value, `chosen again: ${value}`)}
        />
        <Says>{said.again}</Says>
      </Group>
      <Group title="Back at a tab's first screen" of="back">
        <Choice
          label="Back at a tab's first screen goes"
          value={back}
          options={backs}
          onChange={(value) => set("back", value, `Back: ${value}`)}
        />
        <Says>{said.back}</Says>
        <StartLine frame={frame} node={node} set={set} />
        <Says>{said.start}</Says>
      </Group>
    </>
  );
}

/** What a hub draws around its tabs: labels, a strip of its own, a heading. */
export function HubLookGroup({ id, node, said, set }: GroupProps<HubNode>) {
  const heading = (part: { title?: string; icon?: string | undefined }) => {
    const next = { title: "", ...node.heading, ...part };
    if (next.icon === undefined) delete next.icon;
    set("heading", next.title || next.icon ? next : undefined, "heading");
  };
  return (
    <Group title="What it draws">
      <TitleLine id={id} node={node} set={set} />
      <span className="flex items-center gap-1 text-ink-2">
        Labels <SetMark of="labels" />
      </span>
      <Choice
        label="Labels of the tabs"
        value={labelsOf(node)}
        options={[
          { value: "always", label: "all" },
          { value: "active", label: "chosen" },
          { value: "never", label: "none" },
        ]}
        onChange={(value) => set("labels", value, `labels ${value}`)}
      />
      <Says>{said.labels}</Says>
      <Check
        checked={node.strip === true}
        onChange={(strip) => set("strip", strip || undefined, strip ? "with a strip of its own" : "without a strip")}
      >
        Strip of its own <SetMark of="strip" />
      </Check>
      <Says inset>{said.strip}</Says>
      <Check
        checked={node.floating === true}
        onChange={(floats) => set("floating", floats || undefined, floats ? "floats over the content" : "takes room")}
      >
        Floats <SetMark of="floating" />
      </Check>
      <Says inset>{said.floating}</Says>
      <Line label="Heading" of="heading">
        <TextLine
          value={node.heading?.title ?? ""}
          placeholder="none"
          onDone={(title) => heading({ title: title.slice(0, 200) })}
        />
      </Line>
      {node.heading && (
        <Line label="Icon">
          <IconPicker label="Icon of the heading" value={node.heading.icon} onPick={(icon) => heading({ icon })} />
        </Line>
      )}
      <Says>{said.heading}</Says>
      <NoteLine node={node} set={set} />
    </Group>
  );
}
