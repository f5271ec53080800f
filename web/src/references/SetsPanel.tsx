import { Eye, EyeOff, Plus, X } from "lucide-react";
import { useMemo } from "react";
import { headPath } from "@zanvo/core/drawing";
import { frameOn, type Reference, type TracedSet } from "@zanvo/core/scene";
import { mm, sentence } from "@zanvo/core/units";
import { edgesOf, ellipseOf, pointOf } from "@zanvo/core/recover";
import { newId } from "../id";
import { Button, IconButton, optionsOf, Select } from "../ui";
import { lookOf, onReference, putAside, removeEdge, type Tracing } from "./tracing";
import type { Recovered } from "./useRecovered";
import { freeName } from "../document";
import { useStores } from "../stores";

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

interface SetProps {
  readonly reference: Reference;
  readonly set: TracedSet;
  readonly at: number;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
  readonly recovered: Recovered;
}

type Point = ReturnType<typeof pointOf>;

/** Where the edges of a set meet, and how sure that is. */
function PointLine({ reference, point, used }: Pick<SetProps, "reference"> & { point: Point; used: number }) {
  const { useShot, useMeasures } = useStores();
  const [{ sheet }, measures] = [useShot(), useMeasures()];
  if (!point)
    return (
      <p className="text-pencil">{used === 0 ? "Trace edges that run this way." : "One more edge, and they meet."}</p>
    );
  const { at, angle, covariance } = point;
  const sure = covariance ? ellipseOf(covariance) : null;
  // As large as the photo will lie on the sheet.
  const room = frameOn(sheet);
  const k = Math.min(room.width / reference.width, room.height / reference.height);
  const onSheet = (px: number) => measures(sentence`${mm(k * px)}`);
  const far = at && sure && sure.major > Math.hypot(at[0] - reference.width / 2, at[1] - reference.height / 2);
  return (
    <p className="measure text-[11px] text-pencil">
      {far
        ? "as good as parallel in the picture: the point is too far to be told"
        : at
          ? placed(reference, at) +
            (sure ? `; sure to ${onSheet(sure.major)} along, ${onSheet(sure.minor)} across on the sheet (95 %)` : "")
          : `parallel in the picture, at ${angle?.toFixed(1)}°: no point`}
    </p>
  );
}

/** One edge of a set: its residual, and what can be done with it. @param k its place among those that are used */
function EdgeRow({
  reference,
  set,
  edge: i,
  k,
  point,
  tracing,
  onTracing,
  recovered: { view },
}: Omit<SetProps, "at"> & { readonly edge: number; readonly k: number; readonly point: Point }) {
  const stores = useStores();
  const edge = set.edges[i];
  const stray = k >= 0 && point?.strays.includes(k);
  const chosen = tracing.set === set.id && tracing.edge === i;
  const place = view?.sets.findIndex(({ id }) => id === set.id) ?? -1;
  const off = k >= 0 ? view?.misfit?.residuals[place]?.[k] : undefined;
  const own = k >= 0 && point && edgesOf(set).length > 2 ? `${point.residuals[k].toFixed(1)} px` : null;
  const ofView = off === undefined ? null : `${Math.abs(off * (edge.hand ?? 1)).toFixed(1)} px`;
  const turn = own && point ? `${point.turns[k].toFixed(2)}°` : null;
  const measured = [own, ofView, turn].filter((one) => one !== null).join(" · ");
  return (
    <li className={`flex items-center gap-1 rounded ${chosen ? "bg-wash" : ""}`}>
      <button
        type="button"
        className={`min-h-6 grow text-left ${stray ? "text-accent" : ""}`}
        onClick={() => onTracing({ set: set.id, edge: i })}
      >
        Edge {i + 1}
        <span className="measure ml-1 text-[11px]">{edge.out ? "left out" : measured}</span>
        {stray && <span className="block text-[11px]">probably not parallel to the others</span>}
      </button>
      <IconButton
        label={edge.out ? `Take edge ${i + 1} of ${set.name} again` : `Leave edge ${i + 1} of ${set.name} out`}
        onClick={() => putAside(stores, reference.id, set.id, i, !edge.out)}
      >
        {edge.out ? <Eye size={14} /> : <EyeOff size={14} />}
      </IconButton>
      <IconButton
        label={`Delete edge ${i + 1} of ${set.name}`}
        onClick={() => {
          removeEdge(stores, reference.id, set.id, i);
          onTracing({ set: set.id, edge: null });
        }}
      >
        <X size={14} />
      </IconButton>
    </li>
  );
}

/** One set: its edges and their residuals, and where they meet. */
function SetRow(props: SetProps) {
  const { edit } = useStores();
  const { reference, set, at, tracing, onTracing } = props;
  const point = useMemo(() => pointOf(reference, set), [reference, set]);
  const used = edgesOf(set);
  const { stroke, head } = lookOf(set, at);
  const chosen = tracing.set === set.id;
  const rows = set.edges
    .map((_, i) => ({ i, k: used.findIndex((one) => one.at === i) }))
    .filter(({ k }) => chosen || (k >= 0 && point?.strays.includes(k)));
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
        <Select
          label={`${set.name} runs`}
          value={set.role}
          options={optionsOf(ROLES)}
          onChange={(role) =>
            edit(
              onReference(reference.id, ({ sets }) => {
                sets[at].role = role;
              }),
            )
          }
        />
      )}
      <PointLine reference={reference} point={point} used={used.length} />
      {chosen && rows.length > 2 && (
        <p className="text-[11px] text-pencil">Each edge: off this set’s point · off the view · turned</p>
      )}
      {(chosen || rows.length > 0) && (
        <ol className="max-h-56 space-y-0.5 overflow-y-auto">
          {rows.map(({ i, k }) => (
            <EdgeRow key={i} {...props} edge={i} k={k} point={point} />
          ))}
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
  recovered,
}: {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
  readonly recovered: Recovered;
}) {
  const { edit } = useStores();
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
        <SetRow
          key={set.id}
          reference={reference}
          set={set}
          at={i}
          tracing={tracing}
          onTracing={onTracing}
          recovered={recovered}
        />
      ))}
      <Button className="w-full" onClick={add}>
        <Plus size={14} aria-hidden />
        Another set
      </Button>
    </section>
  );
}
