import { nameOf, type Tab, targetsOf } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { wrongBadge } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, type GroupProps, Line } from "./group.js";
import { OnlyLines } from "./only-lines.js";

/** How a node shows as a tab of its hub. */
export function TabGroup({ frame, id, node, set }: GroupProps) {
  const tab: Tab = node.tab ?? {};
  const change = (part: { [K in keyof Tab]?: Tab[K] | undefined }, label: string) => {
    const next: Record<string, unknown> = { ...tab, ...part };
    for (const key of Object.keys(next)) if (next[key] === undefined || next[key] === "") delete next[key];
    set("tab", Object.keys(next).length ? next : undefined, label);
  };
  const iconOn = (target: string, icon: string | undefined) => {
    const { [target]: _, ...rest } = tab.iconOn ?? {};
    const next = icon === undefined ? rest : { ...rest, [target]: icon };
    change({ iconOn: Object.keys(next).length ? next : undefined }, `icon ${icon ?? "as elsewhere"} on ${target}`);
  };
  const targets = targetsOf(frame);
  return (
    <Group title="Tab">
      <Line label="Label">
        <TextLine
          value={tab.label ?? ""}
          placeholder={nameOf(frame, id)}
          onDone={(label) => change({ label: label.slice(0, 200) }, `tab called ${label}`)}
        />
      </Line>
      <Line label="Icon">
        <IconPicker
          label="Icon"
          value={tab.icon}
          onPick={(icon) => change({ icon }, icon ? `icon ${icon}` : "no icon")}
        />
      </Line>
      <Line label="Chosen">
        <IconPicker
          label="Icon while it is chosen"
          value={tab.activeIcon}
          placeholder="the same, filled"
          onPick={(activeIcon) => change({ activeIcon }, `chosen: ${activeIcon ?? "the same, filled"}`)}
        />
      </Line>
      {targets.length > 1 &&
        targets.map((target) => (
          <Line key={target.id} label={`On ${target.id}`}>
            <IconPicker
              label={`Icon on ${target.label}`}
              value={tab.iconOn?.[target.id]}
              placeholder="the same"
              onPick={(icon) => iconOn(target.id, icon)}
            />
          </Line>
        ))}
      <Line label="Badge">
        <TextLine
          value={tab.badge === undefined ? "" : String(tab.badge)}
          placeholder="none; a number, or dot"
          wrong={wrongBadge}
          onDone={(text) => {
            const badge = text.trim();
            change(
              { badge: badge === "" ? undefined : badge === "dot" ? "dot" : Number(badge) },
              badge ? `badge ${badge}` : "no badge",
            );
          }}
        />
      </Line>
      <Check
        checked={tab.hidden !== true}
        onChange={(shown) => change({ hidden: shown ? undefined : true }, shown ? "shown as a tab" : "hidden")}
      >
        Shown {tab.hidden ? <span className="text-ink-2">: in no face, but can be opened</span> : null}
      </Check>
      <OnlyLines frame={frame} only={tab.only} onChange={(only) => change({ only }, "where the tab is there")} />
    </Group>
  );
}
