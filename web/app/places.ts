import { useCallback } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";

/** The places of the work, in its order. */
export const places = [
  { id: "plan", label: "Plan", says: "the structure" },
  { id: "links", label: "Links", says: "addresses and what they open" },
  { id: "sizes", label: "Sizes", says: "every size at once, and what differs" },
  { id: "state", label: "State", says: "what each tab holds, and what survives" },
  { id: "motion", label: "Motion", says: "how screens move, by eye and by number" },
  { id: "checks", label: "Checks", says: "what is wrong, and what is proved" },
] as const;

export type PlaceId = (typeof places)[number]["id"];

export const isPlace = (text: string | undefined): text is PlaceId => places.some(({ id }) => id === text);

/** Places that show devices of their own: the companion is folded there until it is asked for. */
const ownDevices: readonly PlaceId[] = ["sizes", "motion"];
export const hasOwnDevices = (place: PlaceId): boolean => ownDevices.includes(place);

/** What of a page's address belongs to one place alone, and stays behind when another is gone to. */
const own: Record<PlaceId, readonly string[]> = {
  plan: ["panel"],
  links: ["link", "start", "with"],
  sizes: [],
  state: [],
  motion: ["move", "by", "motion", "stage"],
  checks: ["finding"],
};

/** The address of a place of the open frame, with the choice and the view that are there now. */
export const usePlaceAddress = (): ((to: PlaceId, more?: Record<string, string>) => string) => {
  const { id = "" } = useParams();
  const [params] = useSearchParams();
  return useCallback(
    (to, more = {}) => {
      const next = new URLSearchParams(params);
      for (const [place, names] of Object.entries(own)) if (place !== to) for (const name of names) next.delete(name);
      for (const [name, value] of Object.entries(more)) next.set(name, value);
      const search = next.toString();
      return `/f/${id}/${to}${search && `?${search}`}`;
    },
    [id, params],
  );
};

/** Where one is, and going elsewhere. */
export const usePlace = (): [PlaceId, (to: PlaceId, more?: Record<string, string>) => void] => {
  const { place } = useParams();
  const addressOf = usePlaceAddress();
  const navigate = useNavigate();
  const go = useCallback(
    (to: PlaceId, more?: Record<string, string>) => {
      const address = addressOf(to, more);
      // going where one is already is no step that Back would have to take back
      void navigate(address, { replace: address === window.location.pathname + window.location.search });
    },
    [navigate, addressOf],
  );
  return [isPlace(place) ? place : "plan", go];
};
