import { existsSync } from "node:fs";
import { join } from "node:path";
import express, { type Express } from "express";
import helmet from "helmet";
import type { Keys } from "./access/keys.js";
import { keyWanted } from "./access/wanted.js";
import { rawBody } from "./body.js";
import type { Database } from "./database/database.js";
import { frameRoutes } from "./frames/routes.js";
import type { FrameStore } from "./frames/store.js";
import { iconRoutes, ownIconRoutes } from "./icons.js";
import { ownWrites, servedHosts } from "./guard.js";
import { keepingRoutes } from "./keeping/routes.js";
import { noRoute, sendProblems } from "./problem.js";

export interface AppOptions {
  store: FrameStore;
  /** Host names it answers for, besides those of this machine. */
  hosts?: readonly string[];
  /** The folder of the built page; none serves the data alone. */
  page?: string;
  /** The keys that are asked for; none are where only this machine can come. */
  keys?: Keys | undefined;
  /** Addresses of proxies whose headers say who asks (X-Forwarded-…); nobody else's are read. */
  proxies?: readonly string[];
  /** Frames that were deleted are kept for ever. */
  keepsAll?: boolean;
  /** The database, where the whole shelf may be taken out. */
  database?: Database;
  log?: (error: unknown) => void;
}

/** The application as a request handler. */
export const createApp = (options: AppOptions): Express => {
  const { store, hosts = [], page, keys, proxies = [], keepsAll = false, database, log = console.error } = options;
  const app = express();
  app.disable("x-powered-by");
  app.set("trust proxy", proxies.length ? [...proxies] : false);
  // a name that another page bound to this address brings no key with it
  if (!keys) app.use(servedHosts(hosts));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", "data:"],
          fontSrc: ["'self'", "data:"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'", "blob:"],
          // served over plain http on this machine: there is nothing to upgrade to
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use("/api", ownWrites);
  if (keys) app.use("/api", keyWanted(keys));
  app.use("/api", rawBody);
  app.use(
    "/api/frames",
    (_request, response, next) => {
      response.set("Cache-Control", "no-store");
      next();
    },
    frameRoutes(store, keepsAll),
  );
  app.use("/api/icons", ownIconRoutes());
  if (database) app.use("/api/keeping", keepingRoutes(database));
  app.use("/api", noRoute);
  app.use("/icons", iconRoutes());
  if (page && existsSync(page)) {
    app.use("/assets", express.static(join(page, "assets"), { immutable: true, maxAge: "1y", fallthrough: false }));
    app.use(express.static(page, { index: false }));
    app.get("/{*path}", (_request, response) =>
      response.set("Cache-Control", "no-cache").sendFile(join(page, "index.html")),
    );
  }
  app.use(noRoute);
  app.use(sendProblems(log));
  return app;
};
