export interface SelectProps<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  className?: string;
}

/** One of several, out of sight until it is opened. */
export function Select<T extends string>({ label, value, options, onChange, className = "" }: SelectProps<T>) {
  return (
    <select
      aria-label={label}
      title={label}
      className={`h-7 min-w-0 rounded-sm border border-field bg-plate-2 px-1 ${className}`}
      value={value}
      onChange={(event) => {
        const chosen = options.find((option) => option.value === event.target.value);
        if (chosen) onChange(chosen.value);
      }}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  );
}
