import { setNonce } from "get-nonce";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Link, RouterProvider } from "react-router";
import { startLamp } from "./lamp";
import { Toasts } from "./ui";
import "./styles.css";

// Styles that a primitive adds at run time carry the nonce of this very page.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? "");
startLamp();

function Lost() {
  return (
    <main className="flex h-full flex-col items-center justify-center gap-3">
      <p>There is nothing at this address.</p>
      <Link className="underline" to="/">Back to the shelf</Link>
    </main>
  );
}

const router = createBrowserRouter([
  { HydrateFallback: () => null, children: [
  { path: "/", lazy: async () => ({ Component: (await import("./shelf/ShelfPage")).ShelfPage }) },
  { path: "/scenes/:id", lazy: async () => ({ Component: (await import("./board/BoardPage")).BoardPage }) },
  { path: "/scenes/:id/plan", lazy: async () => ({ Component: (await import("./plan/PlanPage")).PlanPage }) },
  { path: "/scenes/:id/references/:reference", lazy: async () => ({ Component: (await import("./references/ReferencePage")).ReferencePage }) },
  { path: "/scenes/:id/slip/:shot", lazy: async () => ({ Component: (await import("./slip/SlipPage")).SlipPage }) },
  { path: "/guide/:page?", lazy: async () => ({ Component: (await import("./guide/GuidePage")).GuidePage }) },
  { path: "*", Component: Lost },
  ] },
]);

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <RouterProvider router={router} />
    <Toasts />
  </StrictMode>,
);
