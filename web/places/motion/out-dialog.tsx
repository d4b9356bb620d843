import { useMemo, useState } from "react";
import {
  builtInCalm,
  type Frame,
  type Id,
  motionAt,
  motionsAsCss,
  motionsAsTokens,
  type NamedMotion,
  usesOf,
  type View,
} from "../../../core/index.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { copyText } from "../../parts/copy-text.js";
import { PanelDialog } from "../../parts/panel-dialog.js";

export interface OutDialogProps {
  frame: Frame;
  view: View;
  /** The motion that is looked at. */
  id: Id;
  onClose: () => void;
}

type Form = "css" | "tokens";
const forms: readonly { value: Form; label: string; says: string }[] = [
  { value: "css", label: "CSS", says: "keyframes, a class for each layer, and a block for reduced motion" },
  { value: "tokens", label: "Design tokens", says: "a transition token for each track" },
];

/** A name for the file, of small letters. */
const fileName = (frame: Frame, form: Form): string => {
  const name =
    frame.name
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, "-")
      .replaceAll(/^-|-$/g, "") || "app";
  return form === "css" ? `${name}.motion.css` : `${name}.motion.tokens.json`;
};

/** The motions as text for the code: looked at, copied, or taken as a file. */
export default function OutDialog({ frame, view, id, onClose }: OutDialogProps) {
  const [form, setForm] = useState<Form>("css");
  const [whole, setWhole] = useState<"used" | "one">("used");
  const [said, setSaid] = useState("");
  const text = useMemo(() => {
    const named = (each: Id): NamedMotion[] => {
      const motion = motionAt(frame, each);
      return motion ? [{ id: each, motion }] : [];
    };
    const ids =
      whole === "one" ? [id] : [...new Set([...usesOf(frame, view).keys(), ...Object.keys(frame.motions ?? {})])];
    const motions = ids.flatMap(named);
    const [calm] = [...named(frame.calm ?? builtInCalm), ...named(builtInCalm)];
    return form === "css" && calm ? motionsAsCss(motions, calm) : motionsAsTokens(motions);
  }, [frame, view, id, form, whole]);
  const copy = async () =>
    setSaid((await copyText(text)) ? "Copied." : "The browser does not let this page copy: take the file.");
  const href = useMemo(() => `data:text/plain;charset=utf-8,${encodeURIComponent(text)}`, [text]);
  return (
    <PanelDialog title="Out" says={forms.find(({ value }) => value === form)?.says ?? ""} open onClose={onClose}>
      <div className="flex flex-col gap-3">
        <div className="flex flex-wrap items-center gap-2">
          <Choice label="Form" value={form} options={forms} onChange={setForm} />
          <Choice
            label="Which motions"
            value={whole}
            options={[
              { value: "used", label: "all that are used" },
              { value: "one", label: `${motionAt(frame, id)?.name ?? id} alone` },
            ]}
            onChange={setWhole}
          />
          <span className="grow" />
          <span role="status" className="text-ink-2">
            {said}
          </span>
          <Button icon="copy" onClick={() => void copy()}>
            Copy
          </Button>
          <a
            href={href}
            download={fileName(frame, form)}
            className="inline-flex h-8 items-center rounded-sm border border-petrol bg-petrol px-2.5 font-medium text-on-petrol"
          >
            Take the file
          </a>
        </div>
        <pre
          tabIndex={0}
          aria-label="The text"
          className="mono max-h-[54vh] overflow-auto rounded-sm border border-field bg-plate-2 p-2 text-[11.5px] leading-relaxed"
        >
          {text}
        </pre>
      </div>
    </PanelDialog>
  );
}
