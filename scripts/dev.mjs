// Starts the server and the page together, and restarts either when its sources change: `npm run dev`. What is given is given to
// the server: npm run dev -- app.frame.json --data other
import { spawn } from "node:child_process";
import { join } from "node:path";
import process from "node:process";

const root = join(import.meta.dirname, "..");
const bin = (name) => join(root, "node_modules", name);
const children = [
  [bin("tsx/dist/cli.mjs"), "watch", "--clear-screen=false", "cli/main.ts", "start", ...process.argv.slice(2)],
  [bin("vite/bin/vite.js"), "web"],
].map((args) => spawn(process.execPath, args, { cwd: root, stdio: "inherit" }));

// one without the other is of no use
const end = () => children.forEach((child) => child.kill());
for (const child of children) child.once("exit", end);
for (const signal of ["SIGINT", "SIGTERM"]) process.once(signal, end);
