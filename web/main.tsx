import { sure } from "../core/index.js";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Trouble } from "./app/trouble.js";
import "./styles.css";

const router = createBrowserRouter([
  {
    ErrorBoundary: Trouble,
    HydrateFallback: () => null,
    children: [
      { path: "/", lazy: async () => ({ Component: (await import("./places/shelf/shelf.js")).Shelf }) },
      { path: "/f/:id", element: <Navigate to="plan" replace /> },
      { path: "/f/:id/:place", lazy: async () => ({ Component: (await import("./app/frame-shell.js")).FrameShell }) },
    ],
  },
]);

createRoot(sure(document.getElementById("root"))).render(
  <StrictMode>
    <RouterProvider router={router} />
  </StrictMode>,
);
