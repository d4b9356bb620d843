import { type Body, type Field, type Frame, freeIdIn, nameOf, nodeIn, keysOf } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { namesIn } from "../acting/edits.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { Block, Fields, Line, Name } from "./group.js";

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

const kindOptions = keysOf(kinds).map((value) => ({ value, label: kinds[value].label }));
const inputs = [
  { value: "text", label: "a line" },
  { value: "note", label: "a text" },
  { value: "switch", label: "a switch" },
] as const;

/** What a screen shows, in a word or two. */
export const bodyWords = (body: Body = { kind: "blank" }): string => {
  const { label } = kinds[body.kind];
  if ("rows" in body) return `${label} of ${body.rows}`;
  return body.kind === "form" ? `form of ${body.fields.length}` : label;
};

/** Changes a part of the body. */
type Change = (part: object, label: string) => void;

/** How many rows a body has, and what one is called. */
function Rows({ body, change }: { body: Extract<Body, { rows: number }>; change: Change }) {
  return (
    <>
      <Line label="How many">
        <TextLine
          inputMode="numeric"
          className="w-20!"
          value={String(body.rows)}
          wrong={wrongWhole(0, 99_999)}
          onDone={(text) => change({ rows: Number(text) }, `${text.trim()} rows`)}
        />
      </Line>
      {"row" in body && (
        <Line label="One is called" says="{n} is its number">
          <TextLine
            aria-label="Text of a row; {n} is its number"
            value={body.row}
            onDone={(row) => change({ row: row.slice(0, 200) }, `rows called ${row}`)}
          />
        </Line>
      )}
    </>
  );
}

function FieldLine({ field, put }: { field: Field; put: (part: object | null, label: string) => void }) {
  return (
    <div className="flex items-center gap-1">
      <TextLine
        aria-label={`Label of the field ${field.id}`}
        value={field.label}
        onDone={(label) => put({ label: label.slice(0, 200) }, `field ${label}`)}
      />
      <Select
        label={`Input of ${field.label}`}
        className="shrink-0"
        value={field.input}
        options={inputs}
        onChange={(input) => put({ input }, `${field.label} is a ${input}`)}
      />
      <Button
        tone="quiet"
        icon="x"
        aria-label={`Take out the field ${field.label}`}
        onClick={() => put(null, `without ${field.label}`)}
      />
    </div>
  );
}

/** An id for a field that none of these has. */
const freeFieldId = (frame: Frame, fields: readonly Field[]): string =>
  freeIdIn({ ...frame, nodes: {} }, "field", new Set(fields.map(({ id }) => id)));

/** The fields of a form. */
function FormFields({ fields, change }: { fields: readonly Field[]; change: Change }) {
  const { frame } = useBench();
  const put = (at: number, part: object | null, label: string) =>
    change({ fields: fields.flatMap((each, i) => (i !== at ? [each] : part ? [{ ...each, ...part }] : [])) }, label);
  const fresh = (): Field => ({ id: freeFieldId(frame, fields), label: "New field", input: "text" });
  return (
    <Block>
      <Name label="Fields" />
      {fields.map((field, i) => (
        <FieldLine key={field.id} field={field} put={(part, label) => put(i, part, label)} />
      ))}
      <Button className="self-start" onClick={() => change({ fields: [...fields, fresh()] }, "one field more")}>
        Add a field
      </Button>
    </Block>
  );
}

function RowTarget({ body }: { body: Extract<Body, { row: string }> }) {
  const { frame, id, set } = useBench();
  const change = (to: string) => {
    const target = nodeIn(frame, to);
    const { opens: _, param: __, ...rest } = body;
    // the row's number goes into the param the target's address ends with
    const named = target?.kind === "screen" ? namesIn(target).at(-1) : undefined;
    set(
      "body",
      to ? { ...rest, opens: to, ...(named && { param: named }) } : rest,
      to ? `rows open ${nameOf(frame, to)}` : "rows open nothing",
    );
  };
  const others = Object.keys(frame.nodes).filter((other) => other !== id && other !== frame.root);
  return (
    <Line label="One leads to">
      <Select
        label="A row leads to"
        className="max-w-full"
        value={body.opens ?? ""}
        options={[
          { value: "", label: "nothing" },
          ...others.map((other) => ({ value: other, label: nameOf(frame, other) })),
        ]}
        onChange={change}
      />
    </Line>
  );
}

/** What stands on a screen. */
export function BodyGroup() {
  const { set } = useBench();
  const node = useNodeOf("screen");
  const body: Body = node.body ?? { kind: "blank" };
  const change: Change = (part, label) => set("body", { ...body, ...part }, label);
  return (
    <Fields>
      <Line label="Shows">
        <Select
          label="What it shows"
          value={body.kind}
          options={kindOptions}
          onChange={(kind) => set("body", kinds[kind].make(), `shows a ${kind}`)}
        />
      </Line>
      {"rows" in body && <Rows body={body} change={change} />}
      {"row" in body && <RowTarget body={body} />}
      {body.kind === "text" && (
        <Line label="Text" long>
          <TextLine wraps value={body.text} onDone={(text) => change({ text: text.slice(0, 4000) }, "another text")} />
        </Line>
      )}
      {body.kind === "form" && <FormFields fields={body.fields} change={change} />}
    </Fields>
  );
}
