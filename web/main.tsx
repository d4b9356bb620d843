import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter, Navigate, Route, Routes } from "react-router";
import { sure } from "../core/index.js";
import { KeyAsk } from "./app/key-ask.js";
import { NothingHere, Trouble } from "./app/trouble.js";
import { giveKeyOfAddress } from "./data/give-key.js";
import "./styles.css";

const Shelf = lazy(async () => ({ default: (await import("./places/shelf/shelf.js")).Shelf }));
const FrameShell = lazy(async () => ({ default: (await import("./app/frame-shell.js")).FrameShell }));

const begin = (): void =>
  createRoot(sure(document.getElementById("root"))).render(
    <StrictMode>
      <Trouble>
        {/* where one has gone is there at once: the next key, or Back, already meets it */}
        <BrowserRouter useTransitions={false}>
          <KeyAsk>
            <Suspense fallback={null}>
              <Routes>
                <Route path="/" element={<Shelf />} />
                <Route path="/f/:id" element={<Navigate to="plan" replace />} />
                <Route path="/f/:id/:place" element={<FrameShell />} />
                <Route path="*" element={<NothingHere />} />
              </Routes>
            </Suspense>
          </KeyAsk>
        </BrowserRouter>
      </Trouble>
    </StrictMode>,
  );

// a page that waits as a module would keep its parts waiting too
void giveKeyOfAddress().then(begin);
