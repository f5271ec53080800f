import type { Card } from "@zanvo/core/answers";
import { ImagePlus, Package, Plus, Trash2 } from "lucide-react";
import { Link } from "react-router";
import { preload } from "swr";
import { listScenes } from "../api";
import { Button } from "../ui/Button";
import { LINK, Shelf, type ShelfWork } from "./Shelf";

/** What is on the shelf, asked for while the page itself is still being made. */
let first: Card[] | undefined;
/** Resolves once that has come, or has failed: what failed is asked for again by the page. */
export const listed: Promise<void> = preload("/api/scenes", listScenes).then(
  (cards) => void (first = cards),
  () => undefined,
);

/** Where else one can go from the scenes, and what they are begun from. */
function SceneTools({ shelf }: { readonly shelf: ShelfWork }) {
  return (
    <>
      <Link className={LINK} to="/kits">
        <Package size={14} aria-hidden />
        Kits
      </Link>
      <Link className={LINK} to="/deleted">
        <Trash2 size={14} aria-hidden />
        Deleted
      </Link>
      <Button onClick={shelf.pickPhoto}>
        <ImagePlus size={14} aria-hidden />
        From a photo
      </Button>
    </>
  );
}

/** The shelf: every scene as a small drawing. */
export function ShelfPage() {
  return (
    <Shelf
      of={{ address: "/api/scenes", list: listScenes, first }}
      title="Zanvo"
      find="Find a scene"
      word="scene"
      tools={(shelf) => <SceneTools shelf={shelf} />}
      begin={(shelf) => <NewScene onPress={shelf.begin} />}
    />
  );
}

/** The first card: an empty sheet. */
function NewScene({ onPress }: { readonly onPress: () => void }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className={
        "flex h-full w-full flex-col items-center justify-center " +
        "gap-2 rounded border border-dashed border-ink/50 text-ink hover:bg-black/5"
      }
    >
      <Plus size={28} aria-hidden />
      <span className="text-base font-medium">Start a new scene</span>
      <span>An empty sheet and two points</span>
    </button>
  );
}
