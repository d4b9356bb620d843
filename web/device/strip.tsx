import type { Action, SeenHeader } from "../../core/index.js";
import { AppIcon } from "../parts/app-icon.js";
import { Icon } from "../parts/icon.js";

export interface StripProps {
  header: SeenHeader;
  /** The drawer that the strip's button opens stands at the end edge: so does the button. */
  menuAtEnd: boolean;
  start: readonly Action[];
  end: readonly Action[];
  onUp: () => void;
  onMenu: () => void;
  onTap: (action: Action) => void;
}

/** A header strip: Back, close or the drawer's button, the title, and the screen's header actions. */
export function Strip({ header, menuAtEnd, start, end, onUp, onMenu, onTap }: StripProps) {
  const { title } = header;
  const button = (label: string, icon: string, onClick: () => void, mark: object) => (
    <button
      type="button"
      aria-label={label}
      {...mark}
      onClick={onClick}
      className="grid size-11 shrink-0 place-items-center"
      style={{ color: "var(--accent)" }}
    >
      <Icon name={icon} size={23} />
    </button>
  );
  const action = (each: Action) => (
    <button
      key={each.id}
      type="button"
      data-action={each.id}
      aria-label={each.label}
      onClick={() => onTap(each)}
      className="flex h-11 min-w-11 shrink-0 items-center justify-center px-1 text-[calc(15px*var(--text,1))] font-semibold"
      style={{ color: "var(--accent)" }}
    >
      {each.icon ? <AppIcon name={each.icon} size={23} /> : each.label}
    </button>
  );
  const menu = header.menu && button("Open the drawer", "sidebar-simple", onMenu, { "data-menu": true });
  const first = header.back || header.close || (header.menu && !menuAtEnd) || start.length > 0;
  return (
    <div className="flex h-full items-center gap-1 px-2">
      {header.back && button("Header Back", "arrow-left", onUp, { "data-back": true })}
      {header.close && button("Close", "x", onUp, { "data-close": true })}
      {!menuAtEnd && menu}
      {start.map(action)}
      <span className={`min-w-0 grow truncate text-[calc(18px*var(--text,1))] font-bold ${first ? "" : "pl-2"}`}>
        {title}
      </span>
      {end.map(action)}
      {menuAtEnd && menu}
    </div>
  );
}
