import { type ReactNode, useMemo, useState } from "react";
import {
  type Cell,
  type Edit,
  type Frame,
  type Held,
  type Id,
  isSlot,
  nodeAt,
  plainName,
  type Planned,
  propertyEdit,
  type Shared,
  sharedSettings,
  type Slot,
  valueSays,
  variedEdit,
  type View,
  firstOf,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Button } from "../../../parts/button.js";
import { Choice } from "../../../parts/choice.js";
import { Icon } from "../../../parts/icon.js";
import { TextLine } from "../../../parts/text-line.js";
import { ViewGrid } from "../../../parts/view-grid.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { cellIn } from "./cell-in.js";
import { outermost } from "../acting/selection.js";

export interface SeveralBenchProps {
  frame: Frame;
  view: View;
  parts: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
  onDelete: (parts: readonly Chosen[]) => void;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
  tools: ReactNode;
}

/** Sets a property on all of them; without a value back to the default. */
const setOnAll = (frame: Frame, ids: readonly Id[], key: Shared["setting"]["key"], value: unknown): Edit => ({
  kind: "batch",
  edits: ids.map((id) => propertyEdit(frame, id, key, value)),
});

/** Sets what may differ by view in some cells of all of them; in every view where none is given. */
const varyAll = (ids: readonly Id[], slot: Slot, cells: Cell[] | undefined, value: unknown): Edit => ({
  kind: "batch",
  edits: ids.map((id) => variedEdit(id, slot, cells, value)),
});

/** The bench for several nodes: every setting they all have, what holds on each, and one step that sets it on all. */
export default function SeveralBench({ frame, view, parts, make, onDelete, onChoose, tools }: SeveralBenchProps) {
  const ids = useMemo(() => [...new Set(parts.map(({ id }) => id))], [parts]);
  const shared = useMemo(() => sharedSettings(frame, ids), [frame, ids]);
  const names = ids.slice(0, 4).map((id) => plainName(frame, id));
  const set = ({ setting: { key, label } }: Shared, value: unknown, says: string) => {
    const some = `${names.slice(0, 2).join(", ")}${ids.length > 2 ? " …" : ""}`;
    make({ edit: setOnAll(frame, ids, key, value), label: `${label} ${says} on ${ids.length}: ${some}`, choose: null });
  };
  const [asked, setAsked] = useState<Slot | null>(null);
  const byViewOf = ({ setting: { key, label } }: Shared): RowProps["byView"] => {
    if (!ids.every((id) => isSlot(nodeAt(frame, id).kind, key))) return null;
    const put = (cells: Cell[] | undefined, value: unknown, says: string) =>
      make({ edit: varyAll(ids, key, cells, value), label: `${says} on ${ids.length} nodes`, choose: null });
    return {
      open: asked === key,
      toggle: () => setAsked(asked === key ? null : key),
      grid: <ViewGrid frame={frame} ids={ids} slot={key} name={label} at={cellIn(frame, view)} onSet={put} />,
    };
  };
  const pick = (chosen: readonly Id[]) => {
    const [first, ...rest] = parts.filter(({ id }) => chosen.includes(id));
    if (first) onChoose(first, rest);
  };
  return (
    <>
      <Head names={names} count={ids.length} tools={tools} onDelete={() => onDelete(outermost(frame, parts))} />
      <div className="min-h-0 grow overflow-auto px-3 py-1">
        <table className="w-full">
          <thead>
            <tr className="text-left text-ink-2">
              <th className="py-1 pr-4 font-normal">Setting</th>
              <th className="pr-4 font-normal">On all of them</th>
              <th className="font-normal">As it is now</th>
            </tr>
          </thead>
          <tbody>
            {shared.map((each) => (
              <Row
                key={each.setting.key}
                frame={frame}
                shared={each}
                count={ids.length}
                onSet={(value, says) => set(each, value, says)}
                onPick={pick}
                byView={byViewOf(each)}
              />
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

interface HeadProps {
  names: readonly string[];
  count: number;
  tools: ReactNode;
  onDelete: () => void;
}

function Head({ names, count, tools, onDelete }: HeadProps) {
  return (
    <header className="flex h-10.5 shrink-0 items-center gap-2.5 overflow-hidden border-b border-ink px-3">
      <h2 className="text-[15px] font-bold whitespace-nowrap">{count} chosen</h2>
      <p className="min-w-0 grow truncate text-ink-2">
        {names.join(", ")}
        {count > 4 ? ` and ${count - 4} more` : ""}
      </p>
      {tools}
      <Button
        icon="trash"
        tone="fault"
        aria-label="Delete"
        title="Deletes all that are chosen (Delete)"
        onClick={onDelete}
      />
    </header>
  );
}

interface RowProps {
  frame: Frame;
  shared: Shared;
  count: number;
  onSet: (value: unknown, says: string) => void;
  onPick: (ids: readonly Id[]) => void;
  /** In which views it is what, where it may differ by view. */
  byView: { open: boolean; toggle: () => void; grid: ReactNode } | null;
}

function Row({ frame, shared, count, onSet, onPick, byView }: RowProps) {
  return (
    <>
      <tr className="border-t border-rule" data-setting={shared.setting.key}>
        <th className="py-1 pr-4 text-left font-medium whitespace-nowrap">
          {shared.setting.label}
          {byView && (
            <button
              type="button"
              aria-label={`${shared.setting.label} by view`}
              title="In which views it is what"
              aria-expanded={byView.open}
              className={`ml-1 inline-grid size-6 place-items-center rounded-sm align-[-6px] hover:bg-petrol-soft ${byView.open ? "text-petrol" : "text-ink-2"}`}
              onClick={byView.toggle}
            >
              <Icon name="devices" size={16} fill={byView.open} />
            </button>
          )}
        </th>
        <td className="py-1 pr-4 whitespace-nowrap">
          <Field shared={shared} onSet={onSet} />
        </td>
        <td className="py-1">
          <HeldBy frame={frame} shared={shared} count={count} onPick={onPick} />
          {shared.own.length > 0 && (
            <button
              type="button"
              className="ml-2 text-petrol underline"
              onClick={() => onSet(undefined, "as by default")}
            >
              back to the default
            </button>
          )}
        </td>
      </tr>
      {byView?.open && (
        <tr>
          <td />
          <td colSpan={2} className="pb-2">
            <div className="max-w-md">{byView.grid}</div>
          </td>
        </tr>
      )}
    </>
  );
}

function Field({ shared: { setting, held }, onSet }: Pick<RowProps, "shared" | "onSet">) {
  const common = held.length === 1 ? firstOf(held).value : undefined;
  const { input } = setting;
  if (input.sort === "choice")
    return (
      <Choice
        label={setting.label}
        value={common === undefined ? "\u0000" : String(common)}
        options={input.options.map(({ value, label }) => ({ value: String(value), label }))}
        onChange={(text) => {
          const option = input.options.find(({ value }) => String(value) === text);
          if (option) onSet(option.value, option.label);
        }}
      />
    );
  if (input.sort === "check")
    return (
      <Choice
        label={setting.label}
        value={common === undefined ? "\u0000" : common ? "on" : "off"}
        options={[
          { value: "on", label: "on" },
          { value: "off", label: "off" },
        ]}
        onChange={(value) => onSet(value === "on", value)}
      />
    );
  if (input.sort === "shown") return <span className="text-ink-2">set on each</span>;
  return (
    <span className="inline-block w-52">
      <TextLine
        aria-label={setting.label}
        value={common === undefined ? "" : String(common)}
        placeholder={common === undefined ? "different" : ""}
        wrong={input.sort === "whole" ? wrongWhole(2, 12) : undefined}
        onDone={(text) => onSet(input.sort === "whole" ? Number(text) : text, text || "empty")}
      />
    </span>
  );
}

function HeldBy({
  frame,
  shared: { setting, held, own },
  count,
  onPick,
}: Pick<RowProps, "frame" | "shared" | "count" | "onPick">) {
  const some = (each: Held) => each.ids.filter((id) => own.includes(id)).length;
  return (
    <span className="inline-flex flex-wrap gap-x-3">
      {held.map((each) => (
        <button
          key={JSON.stringify(each.value)}
          type="button"
          className="text-left hover:underline disabled:no-underline"
          disabled={each.ids.length === count}
          title={each.ids.map((id) => plainName(frame, id)).join(", ")}
          onClick={() => onPick(each.ids)}
        >
          <b>{each.ids.length === count ? "all" : each.ids.length}</b> {valueSays(frame, setting, each.value)}{" "}
          <span className="text-ink-2">
            {some(each) === 0
              ? "by default"
              : some(each) === each.ids.length
                ? "set"
                : `${some(each)} set, else default`}
          </span>
        </button>
      ))}
    </span>
  );
}
