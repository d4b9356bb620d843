import { type ReactNode, useId } from "react";
import { useTextScale } from "./text-scale.js";
import { fill, type ScreenNode, type Ui, type Body as AnyBody, type ListBody } from "../../core/index.js";

export interface BodyProps {
  node: ScreenNode;
  params: Readonly<Record<string, string>>;
  ui: Ui;
  /** Where the content is scrolled to and how high its window is, px: rows outside are not drawn. */
  window: { top: number; height: number; width: number };
  onPick: (row: number) => void;
  onType: (field: string, text: string) => void;
}

const plainRowHeight = 62;
const cellHeight = 128;

/** Rows by number, of which only those in sight are drawn. */
function Rows({
  count,
  height,
  columns,
  window,
  children,
}: {
  count: number;
  height: number;
  columns: number;
  window: BodyProps["window"];
  children: (n: number) => ReactNode;
}) {
  const lines = Math.ceil(count / columns);
  const from = Math.max(0, Math.floor(window.top / height) - 3);
  const to = Math.min(lines, Math.ceil((window.top + window.height) / height) + 3);
  const shown = Array.from(
    { length: Math.max(0, Math.min(count, to * columns) - from * columns) },
    (_, i) => from * columns + i + 1,
  );
  const rowVariable: Record<`--${string}`, string> = { "--row": `${height}px` };
  return (
    <div style={{ height: lines * height, position: "relative" }}>
      <div
        style={{
          position: "absolute",
          top: from * height,
          left: 0,
          right: 0,
          display: "grid",
          gridTemplateColumns: `repeat(${columns}, 1fr)`,
          ...rowVariable,
        }}
      >
        {shown.map(children)}
      </div>
    </div>
  );
}

const cellLook = "m-1.5 flex h-29 flex-col items-start justify-end rounded-md bg-(--mark) p-3 text-left";
const rowLook =
  "flex h-(--row) items-center gap-3 border-b border-[color-mix(in_srgb,var(--ink)_13%,transparent)] px-4 text-left";

type BodyParts = Pick<BodyProps, "params" | "ui" | "onType">;
const blank: AnyBody = { kind: "blank" };

function List({ body, params, ui, window, onPick }: Omit<BodyProps, "node"> & { body: ListBody }) {
  const text = useTextScale();
  const grid = body.kind === "grid";
  const rowHeight = plainRowHeight * text;
  const columns = grid ? Math.max(2, Math.floor(window.width / 190)) : 1;
  const label = (n: number) => fill(body.row, { ...params, n: String(n) });
  const received = ui.received && Object.values(ui.received).filter(Boolean).join(" · ");
  return (
    <>
      {received && (
        <div className="flex items-center gap-3 px-4" style={{ height: rowHeight, background: "var(--mark)" }}>
          <b>{received}</b>
        </div>
      )}
      <Rows count={body.rows} height={grid ? cellHeight : rowHeight} columns={columns} window={window}>
        {(n) => (
          <button
            key={n}
            type="button"
            data-row={n}
            disabled={!body.opens}
            onClick={() => onPick(n)}
            className={grid ? cellLook : `${rowLook} ${ui.picked === n ? "bg-(--mark)" : ""}`}
          >
            {!grid && (
              <span className={`size-9 shrink-0 rounded-md ${ui.picked === n ? "bg-(--surface)" : "bg-(--mark)"}`} />
            )}
            <span className="text-[calc(16px*var(--text,1))] font-medium">{label(n)}</span>
          </button>
        )}
      </Rows>
    </>
  );
}

const fieldStyle = {
  background: "var(--surface)",
  border: "1px solid color-mix(in srgb, var(--ink) 50%, transparent)",
};

function Form({ body, params, ui, onType }: BodyParts & { body: Extract<AnyBody, { kind: "form" }> }) {
  return (
    <div className="flex flex-col gap-4 p-4">
      {body.fields.map((field) => {
        const text = ui.drafts[field.id] ?? "";
        const label = fill(field.label, params);
        const change = (value: string) => onType(field.id, value);
        if (field.input === "switch")
          return (
            <label key={field.id} className="flex items-center justify-between gap-3 text-[calc(15px*var(--text,1))]">
              {label}
              <input
                type="checkbox"
                role="switch"
                className="size-5"
                style={{ accentColor: "var(--accent)" }}
                checked={text === "true"}
                onChange={(event) => change(event.target.checked ? "true" : "")}
              />
            </label>
          );
        const shared = {
          value: text,
          onChange: (event: { target: { value: string } }) => change(event.target.value),
          className: "mt-1 block w-full rounded-md px-3 py-2 text-[calc(16px*var(--text,1))]",
          style: fieldStyle,
        };
        return (
          <label key={field.id} className="block text-[calc(14px*var(--text,1))]">
            {label}
            {field.input === "note" ? <textarea rows={3} {...shared} /> : <input autoComplete="off" {...shared} />}
          </label>
        );
      })}
    </div>
  );
}

const said = [
  "Still a few left, knock any time.",
  "Which sort is it?",
  "The early one, from last year's row.",
  "I could bring a tray on Saturday.",
];

function Thread({ body, ui, onType }: BodyParts & { body: Extract<AnyBody, { kind: "thread" }> }) {
  const shown = Math.min(body.rows, 60);
  return (
    <div className="flex min-h-full flex-col justify-end gap-2 p-4">
      {Array.from({ length: shown }, (_, i) => (
        <p
          key={i}
          className={`max-w-[72%] rounded-lg px-3 py-2 text-[calc(15px*var(--text,1))] ${i % 2 ? "self-end" : "self-start"}`}
          style={{ background: i % 2 ? "var(--mark)" : "var(--surface)" }}
        >
          {said[i % said.length]}
        </p>
      ))}
      <label className="sticky bottom-0 mt-2 block">
        <span className="sr-only">Reply</span>
        <input
          autoComplete="off"
          placeholder="Reply"
          className="block w-full rounded-full px-4 py-2 text-[calc(16px*var(--text,1))]"
          style={fieldStyle}
          value={ui.drafts.reply ?? ""}
          onChange={(event) => onType("reply", event.target.value)}
        />
      </label>
    </div>
  );
}

function Media() {
  const id = useId();
  return (
    <svg className="absolute inset-0 size-full" viewBox="0 0 390 700" preserveAspectRatio="xMidYMid slice" aria-hidden>
      <linearGradient id={id} x2="0" y2="1">
        <stop stopColor="#1D2725" />
        <stop offset="1" stopColor="#3C4B47" />
      </linearGradient>
      <rect width="390" height="700" fill={`url(#${id})`} />
      <circle cx="280" cy="210" r="38" fill="#E8D9A8" />
      <path d="M0 700V430l110-120 90 110 60-70 130 160v190z" fill="#5C6B66" />
      <path d="M0 700V560l160-60 230 90v110z" fill="#46534F" />
    </svg>
  );
}

/** What a screen has in its middle, as a person would meet it. */
export function Body(props: BodyProps) {
  const { node, ...rest } = props;
  const body = node.body ?? blank;
  switch (body.kind) {
    case "list":
    case "grid":
      return <List {...rest} body={body} />;
    case "form":
      return <Form {...rest} body={body} />;
    case "thread":
      return <Thread {...rest} body={body} />;
    case "media":
      return <Media />;
    case "text":
      return <p className="p-4 text-[calc(16px*var(--text,1))] leading-relaxed whitespace-pre-wrap">{body.text}</p>;
    case "blank":
      return null;
  }
}
