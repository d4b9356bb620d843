import type { ButtonHTMLAttributes } from "react";
import { Icon } from "./icon.js";

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  tone?: "plain" | "strong" | "quiet" | "fault";
  icon?: string;
}

const tones = {
  plain: "border border-field bg-plate-2 hover:bg-plate-0",
  strong: "border border-petrol bg-petrol text-on-petrol hover:opacity-90",
  quiet: "border border-transparent hover:bg-plate-0",
  fault: "border border-clay bg-plate-2 text-clay hover:bg-clay-soft",
};

export function Button({ tone = "plain", icon, className = "", children, ...rest }: ButtonProps) {
  const shape = children ? "px-2.5" : "w-8 justify-center";
  return (
    <button
      type="button"
      className={`inline-flex h-8 shrink-0 items-center gap-1.5 rounded-sm font-medium whitespace-nowrap disabled:opacity-40 ${shape} ${tones[tone]} ${className}`}
      {...rest}
    >
      {icon && <Icon name={icon} size={17} />}
      {children}
    </button>
  );
}
