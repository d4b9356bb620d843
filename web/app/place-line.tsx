import { type ReactNode, Suspense, useEffect, useState } from "react";
import { Link } from "react-router";
import { oncePainted } from "../data/once-painted.js";
import { later } from "../parts/later.js";
import { type PlaceId, places, usePlace, usePlaceAddress } from "./places.js";

const LinksHealth = later(() => import("../places/links/links-health.js"));
const ChecksHealth = later(() => import("../places/checks/checks-health.js"));
const MotionHealth = later(() => import("../places/motion/motion-health.js"));

/** What says of a place that something is wrong there, where something can be. */
const healths: Partial<Record<PlaceId, ReactNode>> = {
  links: <LinksHealth />,
  motion: <MotionHealth />,
  checks: <ChecksHealth />,
};

/** The places of the work by their numbers, each with its health. */
export function PlaceLine() {
  const [at] = usePlace();
  const addressOf = usePlaceAddress();
  // how the others are is looked at once this one is there
  const [isThere, setThere] = useState(false);
  useEffect(() => oncePainted(() => setThere(true)), []);
  return (
    <nav
      aria-label="Places"
      className="ml-auto flex items-stretch self-stretch gap-1 max-[820px]:min-w-14 max-[820px]:overflow-x-auto max-[820px]:[scrollbar-width:none]"
    >
      {places.map(({ id, label, says }, i) => (
        <Link
          key={id}
          to={addressOf(id)}
          title={says}
          aria-current={id === at ? "page" : undefined}
          className="flex items-center gap-1.5 border-b-[3px] border-transparent px-2 pt-[3px] max-[820px]:px-1 hover:bg-plate-1 aria-[current=page]:border-petrol aria-[current=page]:font-semibold aria-[current=page]:text-petrol"
        >
          <span className="mono max-[820px]:hidden">{i + 1}</span> {label}
          {isThere && healths[id] && <Suspense fallback={null}>{healths[id]}</Suspense>}
        </Link>
      ))}
    </nav>
  );
}
