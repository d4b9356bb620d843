import { fieldsIn, heldBy, mixedSays, type NodeKey, optionsOf } from "../../../../core/index.js";
import { ByView } from "../../../parts/by-view.js";
import { Choice } from "../../../parts/choice.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { StartLine } from "./common-lines.js";
import { Block, Fields, Line, Name, Says } from "./group.js";
import { PropertyField } from "./property-field.js";

/** How a hub shows its tabs at each width, for all targets and otherwise on some. */
export function FacesGroup() {
  const { said, set } = useBench();
  const node = useNodeOf("hub");
  return (
    <Fields>
      <Block>
        <Name label="Its tabs are shown as" of="face" />
        <ByView of="face" name="Tabs" open />
        <Says>{said.face}</Says>
      </Block>
      <Line label="Tabs at most" of="limit" says={said.limit}>
        <TextLine
          inputMode="numeric"
          className="w-14!"
          value={String(heldBy(node, "limit"))}
          wrong={wrongWhole(2, 999)}
          onDone={(text) => set("limit", Number(text), `${text.trim()} tabs at most`)}
        />
        <span className="text-ink-2">in a bar; the rest behind More</span>
      </Line>
    </Fields>
  );
}

/** A choice of what a hub's tabs do, in few words, and what it causes. */
function RuleChoice({ of, label, done }: { of: NodeKey; label: string; done: string }) {
  const { said, set } = useBench();
  const node = useNodeOf("hub");
  return (
    <Block>
      <Name label={label} of={of} />
      <Choice
        label={label}
        value={String(heldBy(node, of))}
        options={optionsOf(of, true)}
        onChange={(value) => set(of, value, `${done} ${value}`)}
      />
      <Says>{said[of]}</Says>
    </Block>
  );
}

/** What a hub's tabs keep, what a second press of a tab does, and what Back does between them. */
export function HubRulesGroup() {
  return (
    <Fields>
      <RuleChoice of="keep" label="A tab that is left keeps" done="tabs keep" />
      <RuleChoice of="again" label="Choosing the chosen tab" done="chosen again:" />
      <RuleChoice of="back" label="Back at a tab's first screen goes" done="Back:" />
      <StartLine />
    </Fields>
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
      <Line label="Heading" of="heading" says={said.heading}>
        <TextLine
          value={heading?.title ?? ""}
          placeholder="none"
          onDone={(title) => put({ title: title.slice(0, 200) })}
        />
      </Line>
      {heading && (
        <Line label="Its icon">
          <IconPicker label="Icon of the heading" value={heading.icon} onPick={(icon) => put({ icon })} />
        </Line>
      )}
    </>
  );
}

/** What a hub draws around its tabs: what the table of properties has for that, and a heading. */
export function HubLookGroup() {
  const { frame, id } = useBench();
  const mixed = mixedSays(frame, id);
  return (
    <Fields>
      {mixed && <p className="break-inside-avoid pb-2.5 text-clay">! {mixed}</p>}
      {fieldsIn("draws", "hub").map((key) => (
        <PropertyField key={key} of={key} />
      ))}
      <Heading />
    </Fields>
  );
}
