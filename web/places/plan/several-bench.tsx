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

/** The bench for several nodes: every setting they all have, what holds on each, and one step that sets it on all. */
export default function SeveralBench({ frame, parts, make, onChoose, tools }: SeveralBenchProps) {
  const ids = useMemo(() => [...new Set(parts.map(({ id }) => id))], [parts]);
  const shared = useMemo(() => sharedSettings(frame, ids), [frame, ids]);
  const names = ids.slice(0, 4).map((id) => plainName(frame, id));
  const set = ({ setting }: Shared, value: unknown, says: string) => {
    const edits = ids.map((id): Edit => ({
      kind: "set",
      node: id,
      key: setting.key,
      ...(value !== undefined && value !== "" && { value }),
    }));
    make({
      edit: { kind: "batch", edits },
      label: `${setting.label} ${says} on ${ids.length}: ${names.slice(0, 2).join(", ")}${ids.length > 2 ? " …" : ""}`,
      choose: null,
    });
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
              <tr key={each.setting.key} className="border-t border-rule" data-setting={each.setting.key}>
                <th className="py-1 pr-4 text-left font-medium whitespace-nowrap">{each.setting.label}</th>
                <td className="py-1 pr-4 whitespace-nowrap">
                  <Field frame={frame} shared={each} onSet={(value, says) => set(each, value, says)} />
                </td>
                <td className="py-1">
                  <HeldBy frame={frame} shared={each} count={ids.length} onPick={pick} />
                  {each.own.length > 0 && (
                    <button
                      type="button"
                      className="ml-2 text-petrol underline"
                      onClick={() => set(each, undefined, "as by default")}
                    >
                      back to the default
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

function Field({
  frame,
  shared: { setting, held },
  onSet,
}: {
  frame: Frame;
  shared: Shared;
  onSet: (value: unknown, says: string) => void;
}) {
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
}: {
  frame: Frame;
  shared: Shared;
  count: number;
  onPick: (ids: readonly Id[]) => void;
}) {
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
