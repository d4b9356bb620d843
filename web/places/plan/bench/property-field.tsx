import { optionsOf, type NodeKey, propertyOf } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Choice } from "../../../parts/choice.js";
import { SetMark } from "../../../parts/set-mark.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useHeld } from "./bench-context.js";
import { Line, Says } from "./group.js";

/** A control for a property's value, by the form that the table of properties gives it. */
function Control({ of, label }: { of: NodeKey; label: string }) {
  const { set } = useBench();
  const value: unknown = useHeld(of);
  const { form, field, fallback } = propertyOf(of);
  const put = (next: unknown) =>
    set(
      of,
      next === fallback ? undefined : next,
      field?.done?.(String(next)) ?? `${label.toLowerCase()} ${String(next)}`,
    );
  switch (form.sort) {
    case "flag":
      return (
        <Check checked={value === true} onChange={put}>
          {label} <SetMark of={of} />
        </Check>
      );
    case "whole":
      return (
        <Line label={label} of={of}>
          <TextLine
            inputMode="numeric"
            value={String(value)}
            wrong={wrongWhole(form.least, form.most)}
            onDone={(text) => put(Number(text))}
          />
        </Line>
      );
    case "label":
    case "text":
      return (
        <Line label={label} of={of}>
          <TextLine value={String(value ?? "")} onDone={(text) => put(text)} />
        </Line>
      );
    default:
      return (
        <>
          <span className="flex items-center gap-1 text-ink-2">
            {label} <SetMark of={of} />
          </span>
          <Choice label={field?.name ?? label} value={String(value)} options={optionsOf(of, true)} onChange={put} />
        </>
      );
  }
}

/** A property as the table lays it out: its control, and what it causes now. */
export function PropertyField({ of }: { of: NodeKey }) {
  const { said } = useBench();
  const { form, field, setting } = propertyOf(of);
  return (
    <>
      <Control of={of} label={field?.label ?? setting?.label ?? of} />
      <Says inset={form.sort === "flag"}>{said[of]}</Says>
    </>
  );
}
