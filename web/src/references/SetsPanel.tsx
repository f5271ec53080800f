import { Eye, EyeOff, Plus, X } from "lucide-react";
import { useMemo } from "react";
import { headPath } from "@zanvo/core/drawing";
import type { Reference, TracedSet } from "@zanvo/core/scene";
import { edgesOf, ellipseOf, pointOf } from "@zanvo/core/recover";
import { newId } from "../id";
import { Button, IconButton } from "../ui";
import { lookOf, onReference, putAside, removeEdge, type Tracing } from "./tracing";
import { edit, freeName } from "../document";

const ROLES: Readonly<Record<TracedSet["role"], string>> = {
  left: "to the left point",
  right: "to the right point",
  upright: "uprights",
  level: "level, another way",
  free: "any other way",
};
const px = (value: number): string => `${Math.round(value).toLocaleString("en")} px`;

/** Where a point lies about the picture, in words. */
function placed({ width, height }: Reference, [x, y]: readonly [number, number]): string {
  const across =
    x < 0
      ? `${px(-x)} left of the picture`
      : x > width
        ? `${px(x - width)} right of the picture`
        : `${px(x)} from the left`;
  const down = y < 0 ? `${px(-y)} above it` : y > height ? `${px(y - height)} below it` : `${px(y)} from the top`;
  return `${across}, ${down}`;
}

/** One set: its edges and their misses, and where they meet. */
function SetRow({
  reference,
  set,
  at,
  tracing,
  onTracing,
}: {
  readonly reference: Reference;
  readonly set: TracedSet;
  readonly at: number;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}) {
  const point = useMemo(() => pointOf(reference, set), [reference, set]);
  const used = edgesOf(set);
  const { stroke, head } = lookOf(set, at);
  const chosen = tracing.set === set.id;
  const sure = point?.covariance ? ellipseOf(point.covariance) : null;
  const far =
    point?.at && sure && sure.major > Math.hypot(point.at[0] - reference.width / 2, point.at[1] - reference.height / 2);
  return (
    <section
      aria-label={`Set ${set.name}`}
      className={`space-y-1 rounded border p-1.5 ${chosen ? "border-accent" : "border-hair"}`}
    >
      <button
        type="button"
        aria-pressed={chosen}
        className="flex min-h-6 w-full items-center gap-1.5 text-left font-medium"
        onClick={() => onTracing({ set: set.id, edge: null })}
      >
        <svg width={14} height={14} viewBox="-7 -7 14 14" aria-hidden>
          <path d={headPath(head, 5.8)} fill={stroke} fillRule="evenodd" />
        </svg>
        {set.name}
        <span className="grow" />
        <span className="measure text-pencil">
          {used.length} {used.length === 1 ? "edge" : "edges"}
        </span>
      </button>
      {chosen && (
        <select
          aria-label={`${set.name} runs`}
          className="h-7 w-full rounded border border-hair bg-slip px-1"
          value={set.role}
          onChange={(event) =>
            edit(
              onReference(reference.id, ({ sets }) => {
                sets[at].role = event.target.value as TracedSet["role"];
              }),
            )
          }
        >
          {Object.entries(ROLES).map(([role, name]) => (
            <option key={role} value={role}>
              {name}
            </option>
          ))}
        </select>
      )}
      {far && (
        <p className="measure text-[11px] text-pencil">
          as good as parallel in the picture: the point is too far to be told
        </p>
      )}
      {point?.at && !far && (
        <p className="measure text-[11px] text-pencil">
          {placed(reference, point.at)}
          {sure ? `; sure to ${px(sure.major)} along, ${px(sure.minor)} across (95 %)` : ""}
        </p>
      )}
      {point?.at === null && (
        <p className="measure text-[11px] text-pencil">
          parallel in the picture, at {point.angle?.toFixed(1)}°: no point
        </p>
      )}
      {!point && (
        <p className="text-pencil">
          {used.length === 0 ? "Trace edges that run this way." : "One more edge, and they meet."}
        </p>
      )}
      {(chosen || (point?.strays.length ?? 0) > 0) && (
        <ol className="max-h-56 space-y-0.5 overflow-y-auto">
          {set.edges.map((edge, i) => {
            const k = used.findIndex((one) => one.at === i);
            const stray = k >= 0 && point?.strays.includes(k);
            if (!chosen && !stray) return null;
            return (
              <li
                key={i}
                className={`flex items-center gap-1 rounded ${chosen && tracing.edge === i ? "bg-wash" : ""}`}
              >
                <button
                  type="button"
                  className={`min-h-6 grow text-left ${stray ? "text-accent" : ""}`}
                  onClick={() => onTracing({ set: set.id, edge: i })}
                >
                  Edge {i + 1}
                  <span className="measure ml-1 text-[11px]">
                    {edge.out
                      ? "left out"
                      : point && used.length > 2
                        ? `${point.residuals[k].toFixed(1)} px, ${point.turns[k].toFixed(2)}°`
                        : ""}
                  </span>
                  {stray && <span className="block text-[11px]">probably not parallel to the others</span>}
                </button>
                <IconButton
                  label={
                    edge.out ? `Take edge ${i + 1} of ${set.name} again` : `Leave edge ${i + 1} of ${set.name} out`
                  }
                  onClick={() => putAside(reference.id, set.id, i, !edge.out)}
                >
                  {edge.out ? <Eye size={14} /> : <EyeOff size={14} />}
                </IconButton>
                <IconButton
                  label={`Delete edge ${i + 1} of ${set.name}`}
                  onClick={() => {
                    removeEdge(reference.id, set.id, i);
                    onTracing({ set: set.id, edge: null });
                  }}
                >
                  <X size={14} />
                </IconButton>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
}

/** All sets, the one that is traced into first to see. */
export function SetsPanel({
  reference,
  tracing,
  onTracing,
}: {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}) {
  const add = () => {
    const id = newId();
    edit(
      onReference(
        reference.id,
        ({ sets }) => void sets.push({ id, name: freeName("Set", sets), role: "level", edges: [] }),
      ),
    );
    onTracing({ set: id, edge: null });
  };
  return (
    <section aria-label="Traced sets" className="space-y-1.5">
      <h2 className="text-sm font-semibold">Edges by set</h2>
      <p className="text-pencil">Choose a set, then press on one end of an edge and draw to the other.</p>
      {reference.sets.map((set, i) => (
        <SetRow key={set.id} reference={reference} set={set} at={i} tracing={tracing} onTracing={onTracing} />
      ))}
      <Button className="w-full" onClick={add}>
        <Plus size={14} aria-hidden />
        Another set
      </Button>
    </section>
  );
}
