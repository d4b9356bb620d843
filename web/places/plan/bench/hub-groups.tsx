import { fieldsIn, heldBy, optionsOf, type NodeKey } from "../../../../core/index.js";
import { ByView } from "../../../parts/by-view.js";
import { Choice } from "../../../parts/choice.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { SetMark } from "../../../parts/set-mark.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { NoteLine, StartLine, TitleLine } from "./common-lines.js";
import { Group, Line, Says } from "./group.js";
import { PropertyField } from "./property-field.js";

/** How a hub shows at each width, for all targets and otherwise on some. */
export function FacesGroup() {
  const { said, set } = useBench();
  const node = useNodeOf("hub");
  return (
    <Group title="Face" of="face" says={said.face} wide room="min-w-84">
      <ByView of="face" name="Face" open />
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
