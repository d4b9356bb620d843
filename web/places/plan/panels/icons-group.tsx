import { useMemo } from "react";
import { type Frame, iconUses, plainName } from "../../../../core/index.js";
import { AppIcon } from "../../../parts/app-icon.js";
import { Button } from "../../../parts/button.js";
import { ChooseFile } from "../../../parts/choose-file.js";
import { useOwnIcons } from "../../../parts/own-icons.js";
import { useSetFrame } from "./use-set-frame.js";

const most = 3;

const usedSays = (frame: Frame, ids: readonly string[]): string => {
  const names = ids.slice(0, most).map((id) => plainName(frame, id));
  return `on ${names.join(", ")}${ids.length > most ? ` and ${ids.length - most} more` : ""}`;
};

/** The icons of the app's own: brought in, and taken out where nothing names them. */
export function IconsGroup({ frame }: { frame: Frame }) {
  const { icons, bringIn } = useOwnIcons();
  const set = useSetFrame();
  const uses = useMemo(() => iconUses(frame), [frame]);
  const names = Object.keys(icons);
  const takeOut = (name: string) => {
    const { [name]: _, ...rest } = icons;
    set("icons", Object.keys(rest).length > 0 ? rest : undefined, `Take out the icon ${name}`);
  };
  return (
    <div>
      <ul className="mb-2.5 flex flex-col gap-1">
        {names.map((name) => {
          const ids = uses.get(name) ?? [];
          return (
            <li key={name} className="flex h-8 items-center gap-2.5">
              <AppIcon name={name} size={24} className="shrink-0" />
              <span className="min-w-0 grow truncate">
                <b className="font-semibold">{name}</b>{" "}
                <span className="text-ink-2">{ids.length > 0 ? usedSays(frame, ids) : "on nothing"}</span>
              </span>
              {ids.length === 0 && (
                <Button tone="quiet" icon="x" aria-label={`Take out the icon ${name}`} onClick={() => takeOut(name)} />
              )}
            </li>
          );
        })}
      </ul>
      <div className="flex items-center gap-3">
        <ChooseFile
          label="An SVG drawing as an icon of the app"
          says="Bring in an SVG"
          accept=".svg,image/svg+xml"
          onFile={(file) => void bringIn(file)}
        />
        <p className="min-w-0 text-ink-2">
          or drop one on a tab: shapes of one colour in a square. It goes with the frame wherever that goes.
        </p>
      </div>
    </div>
  );
}
