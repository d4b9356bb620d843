/** The mark of a way in a list: the same as its peg on the plan. */
export function WayMark({ mark }: { mark: string | null }) {
  return mark === null ? (
    <span className="grid size-[19px] shrink-0 place-items-center text-ink-2">·</span>
  ) : (
    <span className="grid size-[19px] shrink-0 place-items-center rounded-full bg-petrol text-[11px] font-bold text-on-petrol">
      {mark}
    </span>
  );
}
