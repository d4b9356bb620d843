import { useCallback, useState } from "react";
import type { PlanShows } from "../../../../core/index.js";
import { keepStored, readStored } from "../../../data/storage.js";

/** What the cards of a plan can show. */
export const showsOptions: readonly { value: PlanShows; label: string }[] = [
  { value: "fitting", label: "pictures where they fit" },
  { value: "pictures", label: "pictures" },
  { value: "titles", label: "titles alone" },
];

const key = "handy-frame:plan-shows";
const read = (value: unknown): PlanShows | null => showsOptions.find((option) => option.value === value)?.value ?? null;

/** What cards show, as this browser left it. */
export const useShows = (): [PlanShows, (shows: PlanShows) => void] => {
  const [shows, setShows] = useState<PlanShows>(() => readStored("local", key, read) ?? "fitting");
  const set = useCallback((next: PlanShows) => {
    setShows(next);
    keepStored("local", key, next === "fitting" ? null : next);
  }, []);
  return [shows, set];
};
