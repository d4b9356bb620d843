import { readdir } from "node:fs/promises";
import { dirname, join } from "node:path";
import { createRequire } from "node:module";
import express, { Router } from "express";
import Joi from "joi";
import { readBody } from "./body.js";
import { Problem } from "./problem.js";
import { iconFromSvg, mostLetters } from "./svg-icon.js";

const assets = join(
  dirname(createRequire(import.meta.url).resolve("@phosphor-icons/core/assets/regular/plant.svg")),
  "..",
);
const weights = ["regular", "fill"];

/** The icons that apps and the page use, each a file of its own, and the list of their names. */
export const iconRoutes = (): Router => {
  const routes = Router();
  routes.get("/names", async (_request, response) => {
    const files = await readdir(join(assets, "regular"));
    response.set("Cache-Control", "max-age=86400").json(files.map((file) => file.replace(/\.svg$/, "")));
  });
  for (const weight of weights)
    routes.use(`/${weight}`, express.static(join(assets, weight), { maxAge: "7d", index: false, fallthrough: false }));
  return routes;
};

const icon = Joi.object({ svg: Joi.string().max(mostLetters).required() });

/** Makes icons of drawings, for a frame to keep. */
export const ownIconRoutes = (): Router => {
  const routes = Router();
  routes.post("/", (request, response) => {
    const read = iconFromSvg(readBody<{ svg: string }>(request, icon).svg);
    if (!read.ok) throw new Problem("no-icon", read.why);
    response.json(read.icon);
  });
  return routes;
};
