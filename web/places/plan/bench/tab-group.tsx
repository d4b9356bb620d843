import { nameOf, type Tab } from "../../../../core/index.js";
import useSWR from "swr";
import { request } from "../../../data/request.js";
import { Check } from "../../../parts/check.js";
import { Icon } from "../../../parts/icon.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, type GroupProps, Line } from "./group.js";

/** How a node shows as a tab of its hub. */
export function TabGroup({ frame, id, node, set }: GroupProps) {
  const tab: Tab = node.tab ?? {};
  const { data: icons = [] } = useSWR("/icons/names", (path: string) => request<string[]>(path), {
    revalidateOnFocus: false,
  });
  const change = (part: Partial<Tab>, label: string) => {
    const next: Record<string, unknown> = { ...tab, ...part };
    for (const key of Object.keys(next)) if (next[key] === undefined || next[key] === "") delete next[key];
    set("tab", Object.keys(next).length ? next : undefined, label);
  };
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
        {tab.icon && <Icon name={tab.icon} />}
        <TextLine
          list="icon-names"
          value={tab.icon ?? ""}
          placeholder="none"
          onDone={(icon) => change({ icon: icon.trim() }, icon ? `icon ${icon}` : "no icon")}
        />
        <datalist id="icon-names">
          {icons.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </Line>
      <Line label="Badge">
        <TextLine
          value={tab.badge === undefined ? "" : String(tab.badge)}
          placeholder="none; a number, or dot"
          onDone={(text) => {
            const badge = text.trim();
            if (badge === "" || badge === "dot" || /^\d{1,5}$/.test(badge))
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
    </Group>
  );
}
