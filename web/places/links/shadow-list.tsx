import { type Frame, plainName, type Shadow } from "../../../core/index.js";

const most = 40;

/** The patterns that share an address, each pair with one that proves it. */
export function ShadowList({
  frame,
  shadows,
  onTry,
}: {
  frame: Frame;
  shadows: readonly Shadow[];
  onTry: (link: string) => void;
}) {
  if (shadows.length === 0) return null;
  return (
    <section aria-label="Shared addresses" className="flex flex-col border-t border-ink">
      <header className="px-3.5 py-2">
        <h2 className="text-[15px] font-bold">Shared addresses</h2>
        <p className="text-ink-2">A word beats a name, a name beats all else: the other screen never gets these.</p>
      </header>
      <ul>
        {shadows.slice(0, most).map(({ winner, loser, address }) => (
          <li
            key={`${winner.screen} ${winner.pattern.text} ${loser.pattern.text}`}
            className="border-t border-rule px-3.5 py-1.5"
          >
            <button type="button" className="mono text-[12px] text-petrol underline" onClick={() => onTry(address)}>
              {address}
            </button>
            <p>
              leads to <b className="font-semibold">{plainName(frame, winner.screen)}</b>{" "}
              <span className="mono text-[12px]">{winner.pattern.text}</span>, not to {plainName(frame, loser.screen)}{" "}
              <span className="mono text-[12px]">{loser.pattern.text}</span>
            </p>
          </li>
        ))}
      </ul>
      {shadows.length > most && <p className="px-3.5 py-1.5 text-ink-2">and {shadows.length - most} more</p>}
    </section>
  );
}
