import {
  againOf,
  backOf,
  keepOf,
  labelsOf,
  limitOf,
  type Again,
  bandsOf,
  faceOf,
  type Face,
  type HubBack,
  type HubNode,
  type Keep,
  tabsOf,
} from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Choice } from "../../../parts/choice.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, type GroupProps, Line } from "./group.js";
import { StartLine, TitleLine } from "./common-lines.js";

const faces: { value: Face | "as"; label: string }[] = [
  { value: "bar", label: "bar" },
  { value: "top", label: "top" },
  { value: "rail", label: "rail" },
  { value: "panel", label: "panel" },
];

/** How a hub shows at each width. */
export function FacesGroup({ frame, view, node, set }: GroupProps<HubNode>) {
  const bands = bandsOf(frame);
  const own = node.faces ?? { [bands[0]!.id]: "bar" as const };
  const now = faceOf(frame, node, view);
  const shown = now ? tabsOf(frame, node, now, view, {}) : null;
  return (
    <Group
      title="Faces"
      says={
        now
          ? `here: ${now}${shown?.more.length ? `, ${shown.more.length} behind More` : ""}`
          : "here: none, so no tab can be chosen"
      }
    >
      {bands.map((band, i) => (
        <Line key={band.id} label={`${band.id} ${band.from}+`}>
          <select
            className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-2 px-1"
            value={own[band.id] ?? "as"}
            onChange={(event) => {
              const { [band.id]: _, ...rest } = own;
              const face = event.target.value;
              set(
                "faces",
                face === "as" ? rest : { ...rest, [band.id]: face },
                `${face === "as" ? "as narrower" : face} on the ${band.id}`,
              );
            }}
          >
            <option value="as">{i === 0 ? "none" : "as on the narrower"}</option>
            {faces.map(({ value, label }) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </Line>
      ))}
      <Line label="At most">
        <TextLine
          inputMode="numeric"
          value={String(limitOf(node))}
          onDone={(text) =>
            /^\d{1,3}$/.test(text.trim()) &&
            Number(text) >= 2 &&
            set("limit", Number(text), `${text.trim()} tabs at most`)
          }
        />
      </Line>
    </Group>
  );
}

const keeps: { value: Keep; label: string; says: string }[] = [
  { value: "live", label: "everything", says: "entries, scroll and drafts stay" },
  { value: "place", label: "the place", says: "entries stay; scroll and drafts are emptied" },
  { value: "fresh", label: "nothing", says: "it starts anew" },
];
const agains: { value: Again; label: string; says: string }[] = [
  { value: "root", label: "first screen", says: "back to its first screen; there already: scrolls to the top" },
  { value: "top", label: "scroll up", says: "scrolls to the top" },
  { value: "none", label: "nothing", says: "does nothing" },
];
const backs: { value: HubBack; label: string; says: string }[] = [
  { value: "start", label: "start tab", says: "to the start tab, then out" },
  { value: "visited", label: "tab before", says: "through the tabs visited, then out" },
  { value: "leave", label: "out at once", says: "out of the hub at once" },
];

/** What a hub's tabs keep and what Back does between them. */
export function HubRulesGroup({ frame, id, node, set }: GroupProps<HubNode>) {
  const says = <T extends string>(options: { value: T; says: string }[], value: T) =>
    options.find((option) => option.value === value)!.says;
  const keep = keepOf(node);
  const again = againOf(node);
  const back = backOf(node);
  return (
    <>
      <Group title="A tab that is left keeps" says={says(keeps, keep)} wide>
        <Choice
          label="A tab that is left keeps"
          value={keep}
          options={keeps}
          onChange={(value) => set("keep", value, `tabs keep ${value}`)}
        />
        <h3 className="mt-1 font-bold">
          Choosing it again <span className="font-normal text-ink-2">{says(agains, again)}</span>
        </h3>
        <Choice
          label="Choosing the chosen tab"
          value={again}
          options={agains}
          onChange={(value) => set("again", value, `chosen again: ${value}`)}
        />
      </Group>
      <Group title="Back at a tab's first screen" says={says(backs, back)} wide>
        <Choice
          label="Back at a tab's first screen goes"
          value={back}
          options={backs}
          onChange={(value) => set("back", value, `Back: ${value}`)}
        />
        <StartLine frame={frame} node={node} set={set} />
        <div className="flex gap-4">
          <Check
            checked={node.strip === true}
            onChange={(strip) =>
              set("strip", strip || undefined, strip ? "with a header of its own" : "without a header of its own")
            }
          >
            Header of its own
          </Check>
          <Check
            checked={node.floating === true}
            onChange={(floating) =>
              set("floating", floating || undefined, floating ? "floats over the content" : "takes room")
            }
          >
            Floats
          </Check>
        </div>
      </Group>
      <Group title="Labels">
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
        <TitleLine id={id} node={node} set={set} />
      </Group>
    </>
  );
}
