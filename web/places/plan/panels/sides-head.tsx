/** The two sides that a colour has. */
export const sides = ["light", "dark"] as const;
export type Side = (typeof sides)[number];

/** The head of a table with a column for each side. */
export function SidesHead() {
  return (
    <thead>
      <tr className="text-left text-ink-2">
        <th className="font-normal" />
        {sides.map((side) => (
          <th key={side} className="font-normal">
            {side}
          </th>
        ))}
      </tr>
    </thead>
  );
}
