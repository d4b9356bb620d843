/** When what is acknowledged is on the disk: before it is, within a second, or whenever the system writes it. */
export const syncs = ["each", "second", "never"] as const;
export type Sync = (typeof syncs)[number];
