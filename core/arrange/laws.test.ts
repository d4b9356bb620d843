import fc from "fast-check";
import { entriesInside, pathTo } from "../navigate/entries.js";
import type { Entry } from "../navigate/state.js";
import { anyStates } from "../testing/states.js";
import { arrange, type Region } from "./arrange.js";

// What a region says of itself is held against where it lies, which it must not be worked out from.

const overlays = new Set(["sheet", "dialog", "side", "fullscreen"]);
/** What has others in it. */
const frames = new Set([...overlays, "list", "detail"]);
const isWithin = (inner: Region, outer: Region): boolean =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  inner.x + inner.width <= outer.x + outer.width &&
  inner.y + inner.height <= outer.y + outer.height;
const hasArea = ({ width, height }: Region): boolean => width > 0 && height > 0;

/** Whether the entry with one key holds that with another. */
const holdsKey = (root: Entry, outer: number, inner: number): boolean =>
  (pathTo(root, inner) ?? []).some(({ key }) => key === outer);

const keysIn = (entry: Entry): number[] => [entry.key, ...entriesInside(entry).flatMap(keysIn)];

test("what a region moves with, and the overlay it is in, are entries of the state, and an overlay's is drawn", () => {
  fc.assert(
    fc.property(anyStates(), ({ frame, seen }) => {
      for (const { state, view } of seen) {
        if (state.outside) continue;
        const regions = arrange(frame, state, view);
        const keys = new Set(keysIn(state.root));
        const drawn = new Set(regions.filter(({ role }) => overlays.has(role)).map(({ key }) => key));
        for (const { role, key, layer, overlay } of regions) {
          expect([role, keys.has(key), keys.has(layer)]).toEqual([role, true, true]);
          if (overlay !== null) expect([role, drawn.has(overlay)]).toEqual([role, true]);
          if (overlays.has(role)) expect([role, overlay]).toEqual([role, key]);
        }
      }
    }),
    { numRuns: 150 },
  );
});

test("what is in an overlay lies within it, and all that is drawn before its scrim and under it cannot be touched", () => {
  let scrims = 0;
  fc.assert(
    fc.property(anyStates(), ({ frame, seen }) => {
      for (const { state, view } of seen) {
        if (state.outside) continue;
        const regions = arrange(frame, state, view);
        for (const region of regions) {
          const over = regions.find(({ role, key }) => overlays.has(role) && key === region.overlay);
          if (over && region.role !== "scrim")
            expect([region.role, isWithin(region, over)]).toEqual([region.role, true]);
        }
        regions.forEach((scrim, i) => {
          if (scrim.role !== "scrim" || !hasArea(scrim)) return;
          scrims += 1;
          const beneath = regions.slice(0, i).filter((region) => hasArea(region) && isWithin(region, scrim));
          for (const { role, inert, layer } of beneath) {
            // an overlay over its region alone, in a pane or another overlay: that is around it, not beneath it
            const isAround = frames.has(role) && holdsKey(state.root, layer, scrim.key);
            if (!isAround) expect([role, inert]).toEqual([role, true]);
          }
        });
      }
    }),
    { numRuns: 500 },
  );
  expect(scrims).toBeGreaterThan(150);
});

test("something can be touched wherever anything is drawn", () => {
  fc.assert(
    fc.property(anyStates(), ({ frame, seen }) => {
      for (const { state, view } of seen) {
        // while a screen asks, what it asks lies over all
        if (state.outside || state.asking || state.root.entries.length === 0) continue;
        const regions = arrange(frame, state, view);
        expect(regions.some(({ role, inert }) => !inert && role !== "scrim")).toBe(true);
      }
    }),
    { numRuns: 100 },
  );
});
