/** What the list of what was found answers to keys. */
export interface FindKeys {
  move: (by: number) => void;
  take: () => void;
}
