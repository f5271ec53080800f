import { ArrowLeft, Package } from "lucide-react";
import { Link } from "react-router";
import { listKits } from "../api";
import { LINK, Shelf } from "./Shelf";

/** How a kit is made, where one looks for it. */
function HowKitsAreMade() {
  return (
    <div
      className={
        "flex h-full flex-col items-center justify-center gap-2 rounded border border-dashed border-ink/50 p-5 " +
        "text-center"
      }
    >
      <Package size={28} aria-hidden />
      <span className="text-base font-medium">Keep your own</span>
      <span>Choose things on the plan or the board, or a front in Fittings, and press “Keep as a kit”.</span>
    </div>
  );
}

/** The shelf of kits: buildings, fronts and things that are put into scenes. */
export function KitsPage() {
  return (
    <Shelf
      of={{ address: "/api/scenes?kits", list: listKits }}
      title="Kits"
      find="Find a kit"
      word="kit"
      back={
        <Link className={LINK} to="/">
          <ArrowLeft size={14} aria-hidden />
          Scenes
        </Link>
      }
      tools={() => null}
      begin={() => <HowKitsAreMade />}
    />
  );
}
