import { ToggleGroup } from "radix-ui";

export interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string; says?: string }[];
  onChange: (value: T) => void;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        const chosen = options.find((option) => option.value === next);
        if (chosen) onChange(chosen.value);
      }}
      className="inline-flex shrink-0 self-start overflow-hidden rounded-sm border border-field bg-plate-2 whitespace-nowrap"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          title={option.says}
          className="h-7 border-r border-rule px-1.5 last:border-r-0 hover:bg-plate-0 focus-visible:-outline-offset-2 data-[state=on]:bg-petrol data-[state=on]:font-semibold data-[state=on]:text-on-petrol"
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
