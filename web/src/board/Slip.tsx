import { Printer } from "lucide-react";
import { Link } from "react-router";
import { slipOf, type SlipRow, type SlipSection } from "@zanvo/core/slip";
import { copyText } from "../document/clipboard";
import { say } from "../ui";
import { useMeasures } from "../units";
import { useChosenBox } from "./desk/blocks";
import { useDocument, useView, useShot, type StageId } from "../document";

function Row({ row: { label, value: told } }: { readonly row: SlipRow }) {
  const measures = useMeasures();
  const value = measures(told);
  const copy = () => {
    void copyText(value).then(
      () => say(`Copied: ${value}`),
      () => say("The browser does not allow copying here."),
    );
  };
  return (
    <button
      type="button"
      aria-label={`Copy ${label}: ${value}`}
      title="Copy"
      className="block w-full rounded px-1.5 py-0.5 text-left hover:bg-wash"
      onClick={copy}
    >
      <span className="block text-[11px] leading-tight text-pencil">{label}</span>
      <span className="measure block text-[12px] leading-snug">{value}</span>
    </button>
  );
}

/** What a stage wants to read first; the rest follows in the order of work. */
const LEADS: Readonly<Partial<Record<StageId, readonly string[]>>> = {
  "eye-level": ["Eye level"],
  points: ["View", "Points"],
  grid: ["Points"],
};

/** The numbers one would pencil down, each to be copied by a press. */
export function Slip() {
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const stage = useView((view) => view.stage);
  const chosen = useChosenBox();
  const lead = ({ title }: SlipSection) => (LEADS[stage]?.includes(title) ? 0 : 1);
  const sections = [...slipOf(scene, shot, chosen)].sort((a, b) => lead(a) - lead(b));
  return (
    <section aria-label="Slip" className="h-[32%] shrink-0 overflow-y-auto border-t border-hair px-1.5 py-2">
      <Link
        to={`/scenes/${id}/slip/${shot.id}`}
        className="mb-1.5 flex min-h-6 items-center gap-1.5 rounded px-1.5 hover:bg-wash"
      >
        <Printer size={14} aria-hidden />
        Set-up sheet to print
      </Link>
      {sections.map(({ title, rows }) => (
        <div key={title} className="mb-1.5">
          <h3 className="px-1.5 text-[11px] font-semibold uppercase tracking-wide text-pencil">{title}</h3>
          {rows.map((row) => (
            <Row key={row.id} row={row} />
          ))}
        </div>
      ))}
    </section>
  );
}
