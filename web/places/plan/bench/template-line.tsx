import { sure } from "../../../../core/index.js";
import { readTemplate, wrongTemplate } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";

const write = (values: Readonly<Record<string, string>> | undefined): string =>
  Object.entries(values ?? {})
    .map(([name, value]) => `${name} = ${value}`)
    .join("; ");

/** Named values in one line, `name = value; name = value`; a value may hold {a param} or {draft.a field}. */
export function TemplateLine({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Readonly<Record<string, string>> | undefined;
  onChange: (value: Record<string, string> | undefined) => void;
}) {
  return (
    <label className="flex break-inside-avoid flex-col gap-0.5 pb-2.5">
      <span className="text-ink-2">{label}</span>
      <TextLine
        aria-label={label}
        className="mono text-[12px]"
        value={write(value)}
        placeholder="name = {draft.name}"
        title="name = value; name = value. A value may hold {a param} or {draft.a field}."
        wrong={wrongTemplate}
        onDone={(text) => {
          const values = sure(readTemplate(text));
          onChange(Object.keys(values).length ? values : undefined);
        }}
      />
    </label>
  );
}
