import { type Body, type Frame, freeIdIn, type Id, nameOf, type ScreenNode } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { namesIn } from "../edits.js";
import { Group, type GroupProps, Line } from "./group.js";
import { AddressLines } from "./address-lines.js";
import { NoteLine, TitleLine } from "./common-lines.js";

const kinds: Record<Body["kind"], { label: string; make: () => Body }> = {
  blank: { label: "nothing yet", make: () => ({ kind: "blank" }) },
  text: { label: "text", make: () => ({ kind: "text", text: "Something to read." }) },
  list: { label: "list", make: () => ({ kind: "list", rows: 20, row: "Row {n}" }) },
  grid: { label: "grid", make: () => ({ kind: "grid", rows: 12, row: "Item {n}" }) },
  form: {
    label: "form",
    make: () => ({ kind: "form", fields: [{ id: "first", label: "First field", input: "text" }] }),
  },
  thread: { label: "thread", make: () => ({ kind: "thread", rows: 10 }) },
  media: { label: "picture", make: () => ({ kind: "media" }) },
};

const select = "h-7 min-w-0 grow rounded-sm border border-field bg-plate-2 px-1";

/** What a screen is: its title, its address, and what stands on it. */
export function BodyGroup({ frame, id, node, set }: GroupProps<ScreenNode>) {
  const body: Body = node.body ?? { kind: "blank" };
  const change = (part: object, label: string) => set("body", { ...body, ...part }, label);
  return (
    <Group title="What it is">
      <TitleLine id={id} node={node} set={set} />
      <Line label="Address">
        <TextLine
          className="mono text-[12px]"
          value={node.path ?? ""}
          placeholder="none"
          onDone={(path) => set("path", path.trim(), path.trim() ? `at ${path.trim()}` : "without an address")}
        />
      </Line>
      <AddressLines frame={frame} id={id} node={node} set={set} />
      <Line label="Shows">
        <select
          aria-label="What it shows"
          className={select}
          value={body.kind}
          onChange={(event) =>
            set("body", kinds[event.target.value as Body["kind"]].make(), `shows a ${event.target.value}`)
          }
        >
          {Object.entries(kinds).map(([kind, { label }]) => (
            <option key={kind} value={kind}>
              {label}
            </option>
          ))}
        </select>
      </Line>
      {"rows" in body && (
        <Line label="Rows">
          <TextLine
            inputMode="numeric"
            className="w-16!"
            value={String(body.rows)}
            wrong={wrongWhole(0, 99_999)}
            onDone={(text) => change({ rows: Number(text) }, `${text.trim()} rows`)}
          />
          {"row" in body && (
            <TextLine
              aria-label="Text of a row; {n} is its number"
              title="{n} is the row's number"
              value={body.row}
              onDone={(row) => change({ row: row.slice(0, 200) }, `rows called ${row}`)}
            />
          )}
        </Line>
      )}
      {"row" in body && <RowTarget frame={frame} id={id} body={body} set={set} />}
      {body.kind === "text" && (
        <Line label="Text">
          <TextLine value={body.text} onDone={(text) => change({ text: text.slice(0, 4000) }, "another text")} />
        </Line>
      )}
      {body.kind === "form" && (
        <div className="flex flex-col gap-1">
          {body.fields.map((field, i) => {
            const put = (part: object | null, label: string) =>
              change(
                { fields: body.fields.flatMap((each, at) => (at !== i ? [each] : part ? [{ ...each, ...part }] : [])) },
                label,
              );
            return (
              <div key={field.id} className="flex items-center gap-1">
                <TextLine
                  aria-label={`Label of the field ${field.id}`}
                  value={field.label}
                  onDone={(label) => put({ label: label.slice(0, 200) }, `field ${label}`)}
                />
                <select
                  aria-label={`Input of ${field.label}`}
                  className="h-7 rounded-sm border border-field bg-plate-2"
                  value={field.input}
                  onChange={(event) => put({ input: event.target.value }, `${field.label} is a ${event.target.value}`)}
                >
                  {["text", "note", "switch"].map((input) => (
                    <option key={input}>{input}</option>
                  ))}
                </select>
                <Button
                  tone="quiet"
                  icon="x"
                  aria-label={`Take out the field ${field.label}`}
                  onClick={() => put(null, `without ${field.label}`)}
                />
              </div>
            );
          })}
          <Button
            className="self-start"
            onClick={() => {
              const taken = new Set(body.fields.map((field) => field.id));
              change(
                {
                  fields: [
                    ...body.fields,
                    { id: freeIdIn({ ...frame, nodes: {} }, "field", taken), label: "New field", input: "text" },
                  ],
                },
                "one field more",
              );
            }}
          >
            Add a field
          </Button>
        </div>
      )}
      <NoteLine node={node} set={set} />
    </Group>
  );
}

function RowTarget({
  frame,
  id,
  body,
  set,
}: {
  frame: Frame;
  id: Id;
  body: Extract<Body, { row: string }>;
  set: GroupProps["set"];
}) {
  const change = (to: string) => {
    const target = frame.nodes[to];
    const { opens: _, param: __, ...rest } = body;
    // the row's number goes into the param the target's address ends with
    const named = target?.kind === "screen" ? namesIn(target).at(-1) : undefined;
    set(
      "body",
      to ? { ...rest, opens: to, ...(named && { param: named }) } : rest,
      to ? `rows open ${nameOf(frame, to)}` : "rows open nothing",
    );
  };
  return (
    <Line label="A row to">
      <select className={select} value={body.opens ?? ""} onChange={(event) => change(event.target.value)}>
        <option value="">nothing</option>
        {Object.keys(frame.nodes)
          .filter((other) => other !== id && other !== frame.root)
          .map((other) => (
            <option key={other} value={other}>
              {nameOf(frame, other)}
            </option>
          ))}
      </select>
    </Line>
  );
}
