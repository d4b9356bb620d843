import {
  bandsOf,
  fieldsIn,
  type Face,
  heldBy,
  type Id,
  optionsOf,
  type NodeKey,
  sure,
  targetsOf,
} from "../../../../core/index.js";
import { Choice } from "../../../parts/choice.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { Select } from "../../../parts/select.js";
import { SetMark } from "../../../parts/set-mark.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { NoteLine, StartLine, TitleLine } from "./common-lines.js";
import { Group, Line, Says } from "./group.js";
import { PropertyField } from "./property-field.js";

type Faces = Readonly<Record<Id, Face>>;
const faces = optionsOf("shortFace");

const without = <T,>(map: Readonly<Record<Id, T>>, id: Id): Record<Id, T> => {
  const { [id]: _, ...rest } = map;
  return rest;
};

/** The faces of one target at each width, else of all. */
const withFace = (map: Faces, band: Id, face: string): Record<Id, string> =>
  face === "as" ? without(map, band) : { ...map, [band]: face };

/** A row of the table of faces: one band, everywhere and on each target. */
function FaceRow({ band, from, isFirst }: { band: Id; from: number; isFirst: boolean }) {
  const { frame, set } = useBench();
  const node = useNodeOf("hub");
  const own: Faces = node.faces ?? { [sure(bandsOf(frame)[0]).id]: "bar" };
  const byTarget: Readonly<Record<Id, Faces>> = node.facesOn ?? {};
  const targets = targetsOf(frame);
  const onTarget = (target: Id, face: string) => {
    const next = withFace(byTarget[target] ?? {}, band, face);
    const rest: Record<Id, unknown> = without(byTarget, target);
    const all = Object.keys(next).length ? { ...rest, [target]: next } : rest;
    set("facesOn", Object.keys(all).length ? all : undefined, `${face} at ${band} on ${target}`);
  };
  return (
    <tr>
      <td className="whitespace-nowrap text-ink-2">
        {band} {from}
      </td>
      <td>
        <Select
          label={`Face at ${band}`}
          className="w-full"
          value={own[band] ?? "as"}
          options={[{ value: "as", label: isFirst ? "none" : "as narrower" }, ...faces]}
          onChange={(face) => set("faces", withFace(own, band, face), `${face} at ${band}`)}
        />
      </td>
      {targets.length > 1 &&
        targets.map(({ id, label }) => (
          <td key={id}>
            <Select
              label={`Face at ${band} on ${label}`}
              className="w-full"
              value={byTarget[id]?.[band] ?? "as"}
              options={[{ value: "as", label: "same" }, ...faces]}
              onChange={(face) => onTarget(id, face)}
            />
          </td>
        ))}
    </tr>
  );
}

function FaceTable() {
  const { frame } = useBench();
  const targets = targetsOf(frame);
  return (
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
        {bandsOf(frame).map(({ id, from }, i) => (
          <FaceRow key={id} band={id} from={from} isFirst={i === 0} />
        ))}
      </tbody>
    </table>
  );
}

/** How a hub shows at each width, for all targets and otherwise on some. */
export function FacesGroup() {
  const { frame, said, set } = useBench();
  const node = useNodeOf("hub");
  return (
    <Group title="Faces" of="faces" says={said.faces} wide room="min-w-84">
      <FaceTable />
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
          value={String(heldBy(node, "limit"))}
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

/** A choice of what a hub's tabs do, in few words, and what it causes. */
function RuleChoice({ of, label, done }: { of: NodeKey; label: string; done: string }) {
  const { said, set } = useBench();
  const node = useNodeOf("hub");
  return (
    <>
      <Choice
        label={label}
        value={String(heldBy(node, of))}
        options={optionsOf(of, true)}
        onChange={(value) => set(of, value, `${done} ${value}`)}
      />
      <Says>{said[of]}</Says>
    </>
  );
}

/** What a hub's tabs keep and what Back does between them. */
export function HubRulesGroup() {
  const { said } = useBench();
  return (
    <>
      <Group title="A tab that is left keeps" of="keep">
        <RuleChoice of="keep" label="A tab that is left keeps" done="tabs keep" />
        <h3 className="mt-1 flex items-center gap-1 font-bold">
          Choosing it again <SetMark of="again" />
        </h3>
        <RuleChoice of="again" label="Choosing the chosen tab" done="chosen again:" />
      </Group>
      <Group title="Back at a tab's first screen" of="back">
        <RuleChoice of="back" label="Back at a tab's first screen goes" done="Back:" />
        <StartLine />
        <Says>{said.start}</Says>
      </Group>
    </>
  );
}

function Heading() {
  const { said, set } = useBench();
  const { heading } = useNodeOf("hub");
  const put = (part: { title?: string; icon?: string | undefined }) => {
    const next = { title: "", ...heading, ...part };
    if (next.icon === undefined) delete next.icon;
    set("heading", next.title || next.icon ? next : undefined, "heading");
  };
  return (
    <>
      <Line label="Heading" of="heading">
        <TextLine
          value={heading?.title ?? ""}
          placeholder="none"
          onDone={(title) => put({ title: title.slice(0, 200) })}
        />
      </Line>
      {heading && (
        <Line label="Icon">
          <IconPicker label="Icon of the heading" value={heading.icon} onPick={(icon) => put({ icon })} />
        </Line>
      )}
      <Says>{said.heading}</Says>
    </>
  );
}

/** What a hub draws around its tabs: what the table of properties has for that, and a heading. */
export function HubLookGroup() {
  return (
    <Group title="What it draws">
      <TitleLine />
      {fieldsIn("draws", "hub").map((key) => (
        <PropertyField key={key} of={key} />
      ))}
      <Heading />
      <NoteLine />
    </Group>
  );
}
