import { nameOf, parentsOf } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { namesIn } from "../acting/edits.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { Line } from "./group.js";

/** Which params of the address are whole numbers. */
function WholeParams({ names }: { names: readonly string[] }) {
  const { set } = useBench();
  const { params = {} } = useNodeOf("screen");
  const toggle = (name: string) => {
    const { [name]: kind, ...rest } = params;
    const isWhole = kind === "whole";
    const next = isWhole ? rest : { ...rest, [name]: "whole" };
    set("params", Object.keys(next).length ? next : undefined, `${name} is ${isWhole ? "text" : "a number"}`);
  };
  return (
    <div className="flex flex-wrap items-center gap-1">
      <span className="text-ink-2">whole numbers</span>
      {names.map((name) => (
        <button
          key={name}
          type="button"
          aria-pressed={params[name] === "whole"}
          className="mono h-6.5 rounded-sm border border-field bg-plate-2 px-1.5 text-[12px] aria-pressed:border-petrol aria-pressed:bg-petrol-soft"
          onClick={() => toggle(name)}
        >
          {name}
        </button>
      ))}
    </div>
  );
}

/** What a link to the screen does: while the app runs, and where a shared screen is opened. */
function LinkLines() {
  const { frame, id, set } = useBench();
  const node = useNodeOf("screen");
  const places = parentsOf(frame, id);
  return (
    <>
      <Line label="A link">
        <Select
          label="What a link does while the app runs"
          className="grow"
          value={node.running ?? "as"}
          options={[
            { value: "as", label: "as the app has it" },
            { value: "open", label: "opens it from here" },
            { value: "rebuild", label: "lays its way anew" },
          ]}
          onChange={(value) => set("running", value === "as" ? undefined : value, `a link: ${value}`)}
        />
      </Line>
      {places.length > 1 && (
        <Line label="Links in">
          <Select
            label="The stack a link opens it in"
            className="grow"
            value={node.linkIn ?? "as"}
            options={[
              { value: "as", label: "its first place" },
              ...places.map((place) => ({ value: place, label: nameOf(frame, place) })),
            ]}
            onChange={(value) => set("linkIn", value === "as" ? undefined : value, `links open in ${value}`)}
          />
        </Line>
      )}
    </>
  );
}

/** What belongs to a screen's address: which params are numbers, older patterns, how a link opens it. */
export function AddressLines() {
  const { set } = useBench();
  const node = useNodeOf("screen");
  if (node.path === undefined) return null;
  const names = namesIn(node);
  return (
    <>
      {names.length > 0 && <WholeParams names={names} />}
      <Line label="Also at">
        <TextLine
          className="mono text-[12px]"
          value={(node.also ?? []).join(" ")}
          placeholder="older addresses"
          onDone={(text) => {
            const also = text.split(/\s+/).filter(Boolean);
            set("also", also.length ? also : undefined, `also at ${also.join(" ") || "nothing"}`);
          }}
        />
      </Line>
      <LinkLines />
    </>
  );
}
