// by itself, as who listens for a paste waits for nothing else of it

/** The media type a clip travels under beside its plain text. */
export const clipType = "application/vnd.handy-frame.parts+json";
