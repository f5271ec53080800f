import { ChevronRight, Printer } from "lucide-react";
import { Link } from "react-router";
import { slipOf, type SlipRow, type SlipSection } from "@zanvo/core/slip";
import { copyText } from "../document/clipboard";
import type { StageId } from "../document";
import { useStores } from "../stores";

function Row({ row: { label, value: told } }: { readonly row: SlipRow }) {
  const { useMeasures, say } = useStores();
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

/** The numbers one would pencil down, each to be copied by a press, in a drawer that stays as one leaves it. */
export function Slip() {
  const { useDocument, useShot, useView, useColumn, useChosen, arrange } = useStores();
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const stage = useView((view) => view.stage);
  const chosen = useChosen();
  const open = useColumn((column) => column.slip);
  const lead = ({ title }: SlipSection) => (LEADS[stage]?.includes(title) ? 0 : 1);
  const sections = open ? [...slipOf(scene, shot, chosen)].sort((a, b) => lead(a) - lead(b)) : [];
  return (
    <div className={`flex shrink-0 flex-col border-t border-hair ${open ? "h-[38%]" : ""}`}>
      <div className="flex h-8 shrink-0 items-center gap-1 px-2">
        <button
          type="button"
          aria-expanded={open}
          className="flex min-h-6 grow items-center gap-1 rounded px-1 text-left font-medium hover:bg-wash"
          onClick={() => arrange({ slip: !open })}
        >
          <ChevronRight size={14} aria-hidden className={`transition-transform ${open ? "rotate-90" : ""}`} />
          Slip
        </button>
        <Link
          to={`/scenes/${id}/slip/${shot.id}`}
          className="flex min-h-6 items-center gap-1.5 whitespace-nowrap rounded px-1.5 hover:bg-wash"
        >
          <Printer size={14} aria-hidden />
          Set-up sheet
        </Link>
      </div>
      {open && (
        <section aria-label="Slip" className="min-h-0 grow overflow-y-auto px-1.5 pb-2">
          {sections.map(({ title, rows }) => (
            <div key={title} className="mb-1.5">
              <h3 className="px-1.5 text-[11px] font-semibold uppercase tracking-wide text-pencil">{title}</h3>
              {rows.map((row) => (
                <Row key={row.id} row={row} />
              ))}
            </div>
          ))}
        </section>
      )}
    </div>
  );
}
