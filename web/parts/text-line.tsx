import {
  type ChangeEvent,
  type InputHTMLAttributes,
  type KeyboardEvent,
  useEffect,
  useId,
  useLayoutEffect,
  useRef,
  useState,
} from "react";
import { ownEscape } from "./focus-back.js";
import { useAttempt } from "./refusals.js";

export interface TextLineProps extends Omit<InputHTMLAttributes<HTMLInputElement>, "onChange" | "value"> {
  value: string;
  /** Called once the person is done: with Enter, or by going elsewhere. */
  onDone: (value: string) => void;
  /** What is wrong with a text, and what is expected; null when it can be taken. What is wrong is kept and said, not taken. */
  wrong?: ((text: string) => string | null) | undefined;
  /** It may be long: it wraps, and is as high as it has lines. Enter is done with it all the same, with Shift it begins a line. */
  wraps?: boolean;
  /** A line that is there only while something is written: the person is done with it, whether the text is another or not. */
  onLeave?: () => void;
}

/** What is typed in a line, whether it is taken, and what is wrong with it. */
const useTyped = ({ value, onDone, wrong }: Pick<TextLineProps, "value" | "onDone" | "wrong">) => {
  const attempt = useAttempt();
  const [text, setText] = useState(value);
  const [fault, setFault] = useState<string | null>(null);
  /** What was taken, until it has come back as the value: what draws this may be a change behind. */
  const taken = useRef<string | null>(null);
  const reset = () => {
    taken.current = null;
    setText(value);
    setFault(null);
  };
  useLayoutEffect(reset, [value]);
  const type = (next: string) => {
    setText(next);
    setFault(null);
  };
  /** Takes what was typed; says whether there is nothing left to do here. */
  const done = (): boolean => {
    if (text === value || text === taken.current) return true;
    const found = wrong?.(text) ?? attempt(() => onDone(text));
    setFault(found);
    if (found === null) taken.current = text;
    return found === null;
  };
  const isTyped = (text !== value && text !== taken.current) || fault !== null;
  return { text, fault, isTyped, type, reset, done };
};

/**
 * A line of text that changes nothing while it is being typed. What is refused stays in it with the reason, and so does the
 * focus; Escape takes back what was typed, and closes a line that is there for that alone.
 */
export function TextLine({ value, onDone, wrong, onLeave, wraps = false, className = "", ...rest }: TextLineProps) {
  const id = useId();
  const { text, fault, isTyped, type, reset, done } = useTyped({ value, onDone, wrong });
  const isLeft = useRef(false);
  const leave = () => {
    isLeft.current = true;
    onLeave?.();
  };
  const keys = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key === "Enter" && wraps && event.shiftKey) return event.stopPropagation();
    if (event.key === "Enter") {
      // what gets the focus is not pressed by the same Enter
      event.preventDefault();
      if (done() && onLeave) leave();
    } else if (event.key !== "Escape") return;
    else if (onLeave) leave();
    else if (isTyped) reset();
    // nothing to close here: it is for what lies around
    else return;
    event.stopPropagation();
  };
  const shape = wraps ? "min-h-7 py-1 leading-[18px] resize-none [field-sizing:content]" : "h-7";
  const field = {
    spellCheck: false,
    autoComplete: "off",
    className: `w-full min-w-0 rounded-sm border bg-plate-2 px-1.5 ${shape} ${fault ? "border-clay" : "border-field"} ${className}`,
    value: text,
    "aria-invalid": fault !== null || undefined,
    "aria-describedby": fault ? id : undefined,
    ...ownEscape(isTyped || onLeave !== undefined),
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => type(event.target.value),
    onBlur: () => {
      if (!isLeft.current && done()) onLeave?.();
    },
    onKeyDown: keys,
  };
  return (
    <>
      {wraps ? (
        <textarea rows={1} {...field} placeholder={rest.placeholder} aria-label={rest["aria-label"]} />
      ) : (
        <input {...field} {...rest} />
      )}
      {fault && <Fault id={id} says={fault} />}
    </>
  );
}

/** Why a text is refused; it comes into sight. */
function Fault({ id, says }: { id: string; says: string }) {
  const said = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    said.current?.scrollIntoView({ block: "nearest" });
  }, [says]);
  return (
    <span ref={said} id={id} role="alert" className="basis-full text-[12px] leading-4 text-clay">
      ! {says}
    </span>
  );
}
