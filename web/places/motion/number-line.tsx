import { TextLine } from "../../parts/text-line.js";

export interface NumberLineProps {
  label: string;
  value: number;
  unit?: string;
  least?: number;
  most?: number;
  /** What an arrow changes it by; ten times that with Shift. */
  step?: number;
  onDone: (value: number) => void;
  className?: string;
}

const tidy = (value: number): number => Math.round(value * 1000) / 1000;

/** A number with its unit, changed by typing, or by arrows up and down. */
export function NumberLine(props: NumberLineProps) {
  const { label, value, unit = "", least = -Infinity, most = Infinity, step = 1, onDone, className = "" } = props;
  const shown = `${tidy(value)}${unit && ` ${unit}`}`;
  const read = (text: string): number => Number(text.replace(unit, "").replace(",", ".").trim() || "NaN");
  const wrong = (text: string): string | null => {
    const number = read(text);
    if (!Number.isFinite(number)) return `${text.trim() || "Nothing"} is no number.`;
    if (number < least) return `${number} is too small: ${least} at least.`;
    return number > most ? `${number} is too large: ${most} at most.` : null;
  };
  return (
    <div
      className={`min-w-0 ${className}`}
      onKeyDown={(event) => {
        const by = event.key === "ArrowUp" ? 1 : event.key === "ArrowDown" ? -1 : 0;
        if (by === 0) return;
        event.preventDefault();
        onDone(Math.min(most, Math.max(least, tidy(value + by * step * (event.shiftKey ? 10 : 1)))));
      }}
    >
      <TextLine
        aria-label={label}
        title={label}
        inputMode="decimal"
        className="mono text-[12px]"
        value={shown}
        wrong={wrong}
        onDone={(text) => onDone(read(text))}
      />
    </div>
  );
}
