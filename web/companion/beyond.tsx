import type { Beyond as BeyondPart } from "../../core/index.js";

/** Says why a frame is not run: running it in part would show something that is not so. */
export function Beyond({ beyond }: { beyond: readonly BeyondPart[] }) {
  return (
    <div className="size-full overflow-auto bg-plate-0 p-5">
      <p className="text-[15px] font-semibold">This frame is not run yet</p>
      <p className="mt-1 text-ink-2">
        It is kept whole, and can be planned. The device would show it wrongly, because of:
      </p>
      <ul className="mt-2 flex flex-col gap-1">
        {beyond.slice(0, 8).map(({ pointer, what }) => (
          <li key={pointer}>
            {what} <span className="mono text-ink-2">{pointer}</span>
          </li>
        ))}
      </ul>
      {beyond.length > 8 && <p className="mt-1 text-ink-2">and {beyond.length - 8} more</p>}
    </div>
  );
}
