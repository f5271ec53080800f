import { setNonce } from "get-nonce";
import { StrictMode, Suspense, type ComponentType } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter, Link, Route, Routes } from "react-router";
import { startLamp } from "./lamp";
import { Guarded, lazily, Toasts } from "./ui";
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

/** A page, fetched when it is first gone to. */
function page(path: string, load: () => Promise<ComponentType>) {
  const Page = lazily(load);
  return <Route key={path} path={path} element={<Guarded key={path} what="This page"><Suspense fallback={null}><Page /></Suspense></Guarded>} />;
}

const PAGES = [
  page("/", async () => (await import("./shelf/ShelfPage")).ShelfPage),
  page("/deleted", async () => (await import("./shelf/DeletedPage")).DeletedPage),
  page("/scenes/:id", async () => (await import("./board/BoardPage")).BoardPage),
  page("/scenes/:id/plan", async () => (await import("./plan/PlanPage")).PlanPage),
  page("/scenes/:id/references/:reference", async () => (await import("./references/ReferencePage")).ReferencePage),
  page("/scenes/:id/slip/:shot", async () => (await import("./slip/SlipPage")).SlipPage),
  page("/guide/:page?", async () => (await import("./guide/GuidePage")).GuidePage),
];

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <BrowserRouter>
      <Routes>
        {PAGES}
        <Route path="*" element={<Lost />} />
      </Routes>
    </BrowserRouter>
    <Toasts />
  </StrictMode>,
);
