import { RotateCcw } from "lucide-react";
import type { Reference, Wall } from "@zanvo/core/scene";
import { fileName } from "@zanvo/core/scene";
import type { MeasuredWall } from "@zanvo/core/recover";
import { download } from "../files";
import { Button, Fold, IconButton, MeasureField, Select, useWork, Working } from "../ui";
import { listed, metres } from "@zanvo/core/units";
import { sceneMeasure } from "@zanvo/core/schema";
import { ListedHead } from "./ListedHead";
import { useWalls } from "./Traced";
import { onWall, removeEdge, WALLS, type Tracing } from "./tracing";
import { flatWall } from "./warp";
import { useStores } from "../stores";

interface WallsPanelProps {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}

/** A length of a wall: the one that is known, or what the picture tells of it. */
function Side({
  reference,
  at,
  side,
  known,
  told,
}: {
  readonly reference: Reference;
  readonly at: number;
  readonly side: "length" | "height";
  readonly known: number | undefined;
  readonly told: number | null;
}) {
  const stores = useStores();
  const measure = sceneMeasure(`references/*/walls/*/${side}`);
  return (
    <div className="flex items-start gap-1">
      <div className="min-w-0 grow">
        <MeasureField
          measure={measure}
          label={known === undefined ? undefined : `${measure.label}, known`}
          digits={2}
          value={known ?? told ?? 0}
          onChange={(value) =>
            onWall(stores, reference.id, at, (wall) => {
              wall[side] = value;
            })
          }
        />
      </div>
      {known !== undefined && (
        <IconButton
          label={`Measure the ${side} again`}
          onClick={() =>
            onWall(stores, reference.id, at, (wall) => {
              wall[side] = undefined;
            })
          }
        >
          <RotateCcw size={14} />
        </IconButton>
      )}
    </div>
  );
}

interface WallProps {
  readonly wall: Wall;
  readonly at: number;
  readonly measured: MeasuredWall;
}

/** What is known of a wall: its proportions, its sizes, its bays; and the wall saved flat. */
function Measured({
  sceneId,
  reference,
  wall,
  at,
  measured,
  chosen,
}: WallProps & Pick<WallsPanelProps, "sceneId" | "reference"> & { readonly chosen: boolean }) {
  const { useMeasures } = useStores();
  const work = useWork("The elevation");
  const measures = useMeasures();
  const save = async () => {
    const png = await work.run(async (signal) => flatWall(sceneId, reference, measured, signal));
    if (png) download(png, `${fileName(`${reference.name} ${wall.name}`)}.png`);
  };
  return (
    <>
      <p className="measure text-[11px] text-pencil">{measured.ratio.toFixed(3)} times as long as high</p>
      <Side reference={reference} at={at} side="length" known={wall.length} told={measured.length} />
      <Side reference={reference} at={at} side="height" known={wall.height} told={measured.height} />
      {measured.bays.length > 1 && (
        <p className="measure" aria-label={`Bays of ${wall.name}`}>
          {measured.length === null
            ? `${measured.bays.map((bay) => bay.toFixed(2)).join(" · ")} heights`
            : measures(
                listed(
                  measured.bays.map((bay) => metres(bay)),
                  " · ",
                ),
              )}
        </p>
      )}
      {chosen && <p className="text-pencil">Press on the wall to mark a bay; press on a mark to take it away.</p>}
      <Working work={work}>Unrolling…</Working>
      {!work.busy && (
        <Button className="w-full" onClick={() => void save()}>
          Save it flat, as PNG
        </Button>
      )}
    </>
  );
}

function WallRow({
  sceneId,
  reference,
  wall,
  at,
  measured,
  tracing,
  onTracing,
}: WallsPanelProps & Omit<WallProps, "measured"> & { readonly measured: MeasuredWall | null }) {
  const stores = useStores();
  const chosen = tracing.set === WALLS && tracing.edge === at;
  return (
    <section
      aria-label={wall.name}
      className={`space-y-1 rounded border p-1.5 ${chosen ? "border-accent" : "border-hair"}`}
    >
      <ListedHead
        name={wall.name}
        chosen={chosen}
        onChoose={() => onTracing({ set: WALLS, edge: at })}
        onDelete={() => {
          removeEdge(stores, reference.id, WALLS, at);
          onTracing({ set: WALLS, edge: null });
        }}
      />
      <Select
        label={`${wall.name} runs along`}
        value={wall.along}
        options={reference.sets
          .filter(({ role }) => role !== "upright" && role !== "free")
          .map(({ id, name }) => [id, `along ${name}`])}
        onChange={(along) =>
          onWall(stores, reference.id, at, (one) => {
            one.along = along;
          })
        }
      />
      {measured ? (
        <Measured sceneId={sceneId} reference={reference} wall={wall} at={at} measured={measured} chosen={chosen} />
      ) : (
        <p className="text-accent">
          These corners are of no wall that the view knows. Draw it from a lower corner to the opposite upper one, or
          say which set it runs along.
        </p>
      )}
    </section>
  );
}

/** Walls of the picture: their true proportions and sizes, their bays, and each of them seen flat. */
export function WallsPanel(props: WallsPanelProps) {
  const { reference, tracing, onTracing } = props;
  const walls = useWalls(reference);
  return (
    <Fold title="Walls">
      <Button className="w-full" on={tracing.set === WALLS} onClick={() => onTracing({ set: WALLS, edge: null })}>
        Draw walls
      </Button>
      {tracing.set === WALLS && (
        <p className="text-pencil">
          Draw from a lower corner of a wall to the upper corner on its other side. One length that is known, or the
          eye&apos;s height, gives its size.
        </p>
      )}
      {(reference.walls ?? []).map((wall, at) => (
        <WallRow key={wall.id} {...props} wall={wall} at={at} measured={walls[at]} />
      ))}
    </Fold>
  );
}
