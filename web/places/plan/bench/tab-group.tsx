import { isVaried, keysOf, mixedSays, nameOf, nodeAt, ownIconAt, parentsOf, type Tab } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongBadge } from "../../../parts/wrong.js";
import { useBench, useNode } from "./bench-context.js";
import { Block, Fields, Line } from "./group.js";
import { OnlyLines } from "./only-lines.js";

type Change = (part: { [K in keyof Tab]?: Tab[K] | undefined }, label: string) => void;

/** A tab's icon, at rest and chosen, in every view or by view. */
function Icons({ tab, change }: { tab: Tab; change: Change }) {
  const { frame } = useBench();
  const same = tab.icon !== undefined && ownIconAt(frame, tab.icon) ? "the same" : "the same, filled";
  return (
    <>
      <Line label="Icon" view="tab.icon">
        <IconPicker
          label="Icon"
          value={tab.icon}
          onPick={(icon) => change({ icon }, icon ? `icon ${icon}` : "no icon")}
        />
      </Line>
      <Line label="Icon while chosen" view="tab.activeIcon">
        <IconPicker
          label="Icon while it is chosen"
          value={tab.activeIcon}
          placeholder={same}
          onPick={(activeIcon) => change({ activeIcon }, `chosen: ${activeIcon ?? same}`)}
        />
      </Line>
    </>
  );
}

const readBadge = (text: string): Tab["badge"] | undefined =>
  text === "" ? undefined : text === "dot" ? "dot" : Number(text);

/** How a node shows as a tab of its hub. */
export function TabGroup() {
  const { frame, id, set, vary } = useBench();
  const node = useNode();
  const tab: Tab = node.tab ?? {};
  const change: Change = (part, label) => {
    const varied = keysOf(part).find((key) => isVaried(node, `tab.${key}`));
    if (varied !== undefined) return vary(`tab.${varied}`, undefined, part[varied], label);
    const next: Record<string, unknown> = { ...tab, ...part };
    for (const key of Object.keys(next)) if (next[key] === undefined || next[key] === "") delete next[key];
    set("tab", Object.keys(next).length ? next : undefined, label);
  };
  const mixed = parentsOf(frame, id)
    .filter((parent) => nodeAt(frame, parent).kind === "hub")
    .map((hub) => mixedSays(frame, hub))
    .filter(Boolean);
  return (
    <Fields>
      {mixed.map((says) => (
        <p key={says} className="break-inside-avoid pb-2.5 text-clay">
          ! {says}
        </p>
      ))}
      <Line label="Label" view="tab.label">
        <TextLine
          value={tab.label ?? ""}
          placeholder={nameOf(frame, id)}
          onDone={(label) => change({ label: label.slice(0, 200) }, `tab called ${label}`)}
        />
      </Line>
      <Icons tab={tab} change={change} />
      <Line label="Badge">
        <TextLine
          value={tab.badge === undefined ? "" : String(tab.badge)}
          placeholder="none; a number, or dot"
          wrong={wrongBadge}
          onDone={(text) =>
            change({ badge: readBadge(text.trim()) }, text.trim() ? `badge ${text.trim()}` : "no badge")
          }
        />
      </Line>
      <Block>
        <Check
          checked={tab.hidden !== true}
          onChange={(shown) => change({ hidden: shown ? undefined : true }, shown ? "shown as a tab" : "hidden")}
        >
          Shown {tab.hidden ? <span className="text-ink-2">: in no face, but can be opened</span> : null}
        </Check>
        <OnlyLines frame={frame} only={tab.only} onChange={(only) => change({ only }, "where the tab is there")} />
      </Block>
    </Fields>
  );
}
