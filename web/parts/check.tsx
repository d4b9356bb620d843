import { Checkbox } from "radix-ui";
import { type ReactNode, useId } from "react";
import { Icon } from "./icon.js";

export interface CheckProps {
  checked: boolean;
  onChange: (checked: boolean) => void;
  children: ReactNode;
  disabled?: boolean;
}

export function Check({ checked, onChange, children, disabled }: CheckProps) {
  const id = useId();
  return (
    <div className="flex min-h-6 items-center gap-2">
      <Checkbox.Root
        id={id}
        checked={checked}
        disabled={disabled}
        onCheckedChange={(next) => onChange(next === true)}
        className="grid size-4.5 shrink-0 place-items-center rounded-sm border border-field bg-plate-2 data-[state=checked]:border-petrol data-[state=checked]:bg-petrol data-[state=checked]:text-on-petrol disabled:opacity-40"
      >
        <Checkbox.Indicator>
          <Icon name="check" size={13} className="block" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className="flex items-center gap-1">
        {children}
      </label>
    </div>
  );
}
