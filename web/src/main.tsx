import { setNonce } from "get-nonce";
import { StrictMode, Suspense, useState } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter, Link, matchPath, Route, Routes } from "react-router";
import { Guarded } from "./ui/Guarded";
import { lazily, type Lazy } from "./ui/lazily";
import "./styles.css";
import { StoresProvider, useStores } from "./stores";
import { createStores } from "./stores/createStores";
import { remembered } from "./remembered";

// Styles that a primitive adds at run time carry the nonce of this very page.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? "");

const stores = createStores({
  memory: remembered,
  prefersDark: () => matchMedia("(prefers-color-scheme: dark)").matches,
  light: (on) => {
    document.documentElement.dataset.lamp = on ? "on" : "off";
  },
});
stores.startLamp();

function Lost() {
  return (
    <main className="flex h-full flex-col items-center justify-center gap-3">
      <p>There is nothing at this address.</p>
      <Link className="underline" to="/">
        Back to the shelf
      </Link>
    </main>
  );
}

/** What a page may wait for before it is shown without, ms. */
const LONG = 1000;

/** The pages by their addresses, each fetched when it is first gone to. */
const PAGES: Readonly<Record<string, Lazy<object>>> = {
  "/": lazily(async () => {
    const { ShelfPage, listed } = await import("./shelf/ShelfPage");
    // Its cards are drawn with the page, unless they take long.
    await Promise.race([listed, new Promise((resolve) => setTimeout(resolve, LONG))]);
    return ShelfPage;
  }),
  "/kits": lazily(async () => (await import("./shelf/KitsPage")).KitsPage),
  "/deleted": lazily(async () => (await import("./shelf/DeletedPage")).DeletedPage),
  "/scenes/:id": lazily(async () => (await import("./board/BoardPage")).BoardPage),
  "/scenes/:id/plan": lazily(async () => (await import("./plan/PlanPage")).PlanPage),
  "/scenes/:id/references/:reference": lazily(async () => (await import("./references/ReferencePage")).ReferencePage),
  "/scenes/:id/slip/:shot": lazily(async () => (await import("./slip/SlipPage")).SlipPage),
  "/guide/:page?": lazily(async () => (await import("./guide/GuidePage")).GuidePage),
};

const Toasts = lazily(async () => (await import("./ui/Toasts")).Toasts);
/** What is said, once something is. */
function Notes() {
  const { useNotes } = useStores();
  const saying = useNotes(({ notes }) => notes.length > 0);
  const [said, setSaid] = useState(false);
  if (saying && !said) setSaid(true);
  return (
    said && (
      <Guarded what="What was said">
        <Suspense fallback={null}>
          <Toasts />
        </Suspense>
      </Guarded>
    )
  );
}

const first = Object.entries(PAGES).find(([path]) => matchPath(path, location.pathname));
// What cannot be fetched is told of where it is shown.
await first?.[1].preload().catch(() => undefined);

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <StoresProvider value={stores}>
      <BrowserRouter>
        <Suspense fallback={null}>
          <Routes>
            {Object.entries(PAGES).map(([path, Page]) => (
              <Route
                key={path}
                path={path}
                element={
                  <Guarded key={path} what="This page">
                    <Page />
                  </Guarded>
                }
              />
            ))}
            <Route path="*" element={<Lost />} />
          </Routes>
        </Suspense>
      </BrowserRouter>
      <Notes />
    </StoresProvider>
  </StrictMode>,
);
// Fetched once the page stands: what is said when the server is out of reach must not wait for it.
setTimeout(() => void Toasts.preload().catch(() => undefined), LONG);
