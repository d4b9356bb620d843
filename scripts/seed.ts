import fc from "fast-check";

// the same examples in every run, unless it is asked for others
fc.configureGlobal({ seed: Number(process.env.LAWS_SEED ?? 20_261_128) });
