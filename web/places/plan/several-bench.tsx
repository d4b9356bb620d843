import { type ReactNode, useMemo } from "react";
import {
  type Edit,
  type Frame,
  type Held,
  type Id,
  plainName,
  type Planned,
  type Shared,
  sharedSettings,
  valueSays,
  firstOf,
} from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { TextLine } from "../../parts/text-line.js";
import { wrongWhole } from "../../parts/wrong.js";
import { takeOutAll } from "./edits.js";
import { outermost } from "./selection.js";

export interface SeveralBenchProps {
  frame: Frame;
  parts: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
  tools: ReactNode;
}

/** Sets a property on all of them; without a value back to the default. */
const setOnAll = (ids: readonly Id[], key: Shared["setting"]["key"], value: unknown): Edit => ({
  kind: "batch",
  edits: ids.map((node) => ({ kind: "set", node, key, ...(value !== undefined && value !== "" && { value }) })),
});

/** The bench for several nodes: every setting they all have, what holds on each, and one step that sets it on all. */
export default function SeveralBench({ frame, parts, make, onChoose, tools }: SeveralBenchProps) {
  const ids = useMemo(() => [...new Set(parts.map(({ id }) => id))], [parts]);
  const shared = useMemo(() => sharedSettings(frame, ids), [frame, ids]);
  const names = ids.slice(0, 4).map((id) => plainName(frame, id));
  const set = ({ setting: { key, label } }: Shared, value: unknown, says: string) => {
    const some = `${names.slice(0, 2).join(", ")}${ids.length > 2 ? " …" : ""}`;
    make({ edit: setOnAll(ids, key, value), label: `${label} ${says} on ${ids.length}: ${some}`, choose: null });
  };
  const pick = (chosen: readonly Id[]) => {
    const [first, ...rest] = parts.filter(({ id }) => chosen.includes(id));
    if (first) onChoose(first, rest);
  };
  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 overflow-hidden border-b border-ink px-3">
        <h2 className="text-[15px] font-bold whitespace-nowrap">{ids.length} chosen</h2>
        <p className="min-w-0 grow truncate text-ink-2">
          {names.join(", ")}
          {ids.length > 4 ? ` and ${ids.length - 4} more` : ""}
        </p>
        {tools}
        <Button
          icon="trash"
          tone="fault"
          aria-label="Delete"
          title="Deletes all that are chosen (Delete)"
          onClick={() => make(takeOutAll(frame, outermost(frame, parts)))}
        />
      </header>
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
              />
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

interface RowProps {
  frame: Frame;
  shared: Shared;
  count: number;
  onSet: (value: unknown, says: string) => void;
  onPick: (ids: readonly Id[]) => void;
}

function Row({ frame, shared, count, onSet, onPick }: RowProps) {
  return (
    <tr className="border-t border-rule" data-setting={shared.setting.key}>
      <th className="py-1 pr-4 text-left font-medium whitespace-nowrap">{shared.setting.label}</th>
      <td className="py-1 pr-4 whitespace-nowrap">
        <Field frame={frame} shared={shared} onSet={onSet} />
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
  );
}

function Field({ frame, shared: { setting, held }, onSet }: Pick<RowProps, "frame" | "shared" | "onSet">) {
  const common = held.length === 1 ? firstOf(held).value : undefined;
  const { input } = setting;
  if (input.sort === "choice")
    return (
      <Choice
        label={setting.label}
        value={common === undefined ? "\u0000" : String(common)}
        options={input.options(frame)}
        onChange={(value) => onSet(value, valueSays(frame, setting, value))}
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
