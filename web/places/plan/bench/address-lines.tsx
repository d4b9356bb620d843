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
    <Line label="Numbers alone" says="A link with anything else in its place leads nowhere.">
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
    </Line>
  );
}

const runnings = [
  { value: "as", label: "as the app has it" },
  { value: "open", label: "opens it on what is there" },
  { value: "rebuild", label: "lays what a cold link would" },
] as const;

/** What a link to the screen does: while the app runs, and where a shared screen is opened. */
function LinkLines() {
  const { frame, id, set } = useBench();
  const node = useNodeOf("screen");
  const places = parentsOf(frame, id);
  return (
    <>
      <Line label="A link while it runs">
        <Select
          label="What a link does while the app runs"
          className="max-w-full"
          value={node.running ?? "as"}
          options={runnings}
          onChange={(value) => set("running", value === "as" ? undefined : value, `a link: ${value}`)}
        />
      </Line>
      {places.length > 1 && (
        <Line label="A link opens it in">
          <Select
            label="The stack a link opens it in"
            className="max-w-full"
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

/** A screen's address, and what belongs to it: which params are numbers, older patterns, how a link opens it. */
export function AddressLines() {
  const { set } = useBench();
  const node = useNodeOf("screen");
  const names = node.path === undefined ? [] : namesIn(node);
  return (
    <>
      <Line label="Address" long>
        <TextLine
          className="mono text-[12px]"
          value={node.path ?? ""}
          placeholder="none: no link leads here"
          onDone={(path) => set("path", path.trim(), path.trim() ? `at ${path.trim()}` : "without an address")}
        />
      </Line>
      {node.path !== undefined && (
        <>
          {names.length > 0 && <WholeParams names={names} />}
          <Line label="Older addresses that lead here too" long>
            <TextLine
              className="mono text-[12px]"
              value={(node.also ?? []).join(" ")}
              placeholder="none"
              onDone={(text) => {
                const also = text.split(/\s+/).filter(Boolean);
                set("also", also.length ? also : undefined, `also at ${also.join(" ") || "nothing"}`);
              }}
            />
          </Line>
          <LinkLines />
        </>
      )}
    </>
  );
}
