import { ArrowLeft } from "lucide-react";
import { Fragment, useEffect, useId, useMemo, useState } from "react";
import { Link, NavLink, useNavigate, useParams } from "react-router";
import { Button } from "../ui";
import { LivePicture } from "./LivePicture";
import { PAGES, type GuidePage as Page } from "./pages";
import { WORK, type WordsPage } from "./work";

/** One page: its words, and a picture that follows the slider. */
function Article({ page }: { readonly page: Page }) {
  const { title, text, slider, wide = false } = page;
  const [value, setValue] = useState(slider.start);
  const scene = useMemo(() => page.scene(value), [page, value]);
  const id = useId();
  const shown = `${Number(value.toFixed(2))}${slider.unit === "°" ? "" : " "}${slider.unit}`;
  return (
    <article className="mx-auto w-full max-w-3xl px-8 py-6">
      <h1 className="mb-3 text-xl font-semibold">{title}</h1>
      <LivePicture scene={scene} wide={wide} label={`${title}: ${slider.label} ${shown}`} />
      <div className="mt-2 flex items-center gap-3">
        <label htmlFor={id} className="whitespace-nowrap text-pencil">
          {slider.label}
        </label>
        <input
          id={id}
          type="range"
          className="h-6 grow accent-[var(--accent)]"
          min={slider.min}
          max={slider.max}
          step={slider.step}
          value={value}
          onChange={(event) => setValue(Number(event.target.value))}
        />
        <output htmlFor={id} className="measure w-44 text-right">
          {shown}
        </output>
      </div>
      {text.map((paragraph) => (
        <p key={paragraph} className="mt-3 text-[15px] leading-relaxed">
          {paragraph}
        </p>
      ))}
    </article>
  );
}

/** A page in words alone. */
function Words({ page: { title, text, terms = [] } }: { readonly page: WordsPage }) {
  return (
    <article className="mx-auto w-full max-w-3xl px-8 py-6">
      <h1 className="mb-3 text-xl font-semibold">{title}</h1>
      {text.map((paragraph) => (
        <p key={paragraph} className="mt-3 text-[15px] leading-relaxed">
          {paragraph}
        </p>
      ))}
      {terms.length > 0 && (
        <dl className="mt-4 grid grid-cols-[12rem_1fr] gap-x-4 gap-y-2 text-[15px] leading-relaxed">
          {terms.map(([term, meaning]) => (
            <Fragment key={term}>
              <dt className="font-medium">{term}</dt>
              <dd>{meaning}</dd>
            </Fragment>
          ))}
        </dl>
      )}
    </article>
  );
}

const CHAPTERS = [
  ["Working", WORK],
  ["Perspective", PAGES],
] as const;
const ALL: readonly (WordsPage | Page)[] = [...WORK, ...PAGES];

/** The pocket guide: how one works with the application, and short pages with live pictures. */
export function GuidePage() {
  const { page: id } = useParams();
  const navigate = useNavigate();
  const page = id === undefined ? ALL[0] : ALL.find((one) => one.id === id);
  useEffect(() => {
    document.title = page ? `${page.title} · Pocket guide · Zanvo` : "Pocket guide · Zanvo";
    return () => {
      document.title = "Zanvo";
    };
  }, [page]);
  // Whoever came from a board goes back to it; whoever came from outside goes to the shelf.
  const back = () => void (history.state?.idx > 0 ? navigate(-1) : navigate("/"));
  return (
    <div className="flex h-full">
      <nav aria-label="Pages of the guide" className="w-56 shrink-0 overflow-y-auto border-r border-hair bg-slip p-3">
        <Button className="mb-3" onClick={back}>
          <ArrowLeft size={14} aria-hidden />
          Back
        </Button>
        <h2 className="mb-1 px-2 text-[11px] font-semibold uppercase tracking-wide text-pencil">Pocket guide</h2>
        {CHAPTERS.map(([chapter, pages]) => (
          <Fragment key={chapter}>
            <h3 className="mb-0.5 mt-2 px-2 font-semibold">{chapter}</h3>
            <ul>
              {pages.map((one) => (
                <li key={one.id}>
                  <NavLink
                    replace
                    to={`/guide/${one.id}`}
                    aria-current={one === page ? "page" : undefined}
                    className={`block rounded px-2 py-1 hover:bg-wash ${one === page ? "bg-wash font-medium" : ""}`}
                  >
                    {one.title}
                  </NavLink>
                </li>
              ))}
            </ul>
          </Fragment>
        ))}
      </nav>
      <main className="min-w-0 grow overflow-y-auto">
        {page ? (
          "scene" in page ? (
            <Article key={page.id} page={page} />
          ) : (
            <Words key={page.id} page={page} />
          )
        ) : (
          <p className="p-8">
            The guide has no such page.{" "}
            <Link className="underline" to="/guide">
              Go to its first
            </Link>
          </p>
        )}
      </main>
    </div>
  );
}
