import type { Fault } from "../../core/index.js";

/** The file a frame is worked on in, and how the two stand to one another: as the server tells it. */
export type FileState = { name: string; path: string } & (
  { is: "in step" } | { is: "broken"; faults: Fault[] } | { is: "gone" } | { is: "out of reach"; why: string }
);
