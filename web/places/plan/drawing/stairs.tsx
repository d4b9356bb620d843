import { memo } from "react";
import type { Card } from "../../../../core/index.js";

/** The steps of a stack: a line from each screen to those one tap further in. */
export const Stairs = memo(function Stairs({ cards }: { cards: readonly Card[] }) {
  const stacks = new Map<string | null, Map<string, Card>>();
  const lines: string[] = [];
  // a card comes behind the one it hangs under
  for (const card of cards) {
    let stack = stacks.get(card.parent);
    if (!stack) stacks.set(card.parent, (stack = new Map()));
    stack.set(card.id, card);
    const above = card.under !== null && !card.covers ? stack.get(card.under) : undefined;
    if (!above || above.x >= card.x) continue;
    const x = above.x + 11;
    const y = card.y + Math.min(card.height / 2, 22);
    lines.push(`M${x} ${above.y + above.height}V${y}H${card.x}`);
  }
  return (
    <svg className="pointer-events-none absolute inset-0 size-full overflow-visible" aria-hidden>
      <path d={lines.join("")} fill="none" stroke="var(--ink)" strokeWidth={1.2} />
    </svg>
  );
});
