import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

const server = "http://127.0.0.1:4860";

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwindcss()],
  // what is loaded at first is measured by the manifest
  build: { outDir: "../dist/web", emptyOutDir: true, chunkSizeWarningLimit: 600, manifest: true },
  server: { proxy: { "/api": server, "/icons": server } },
});
