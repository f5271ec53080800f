import { useMemo, useState } from "react";
import { drawPrint, ENLARGED, FINDER_WIDTH, finderDistance, squaresOf } from "@zanvo/core/drawing";
import {
  DEFAULT_TILING,
  PRINT_PAPERS,
  PRINTED_THINGS,
  tilesOf,
  type PrintedThing,
  type PrintPaper,
  type Tiles,
  type Tiling,
} from "@zanvo/core/print";
import { fileName, type Scene, type Shot } from "@zanvo/core/scene";
import { Button, Check, Fold, NumberField, Select } from "../../ui";
import { PrintProgress, usePrint } from "./usePrint";
import { useStores } from "../../stores";

const PAPERS = (Object.keys(PRINT_PAPERS) as PrintPaper[]).map((paper) => [paper, paper] as const);

const THINGS = PRINTED_THINGS.map(({ id, label }) => [id, label] as const);

/** What files of prints are called. */
const FILES: Readonly<Record<PrintedThing, string>> = {
  desk: "true size",
  grid: "enlarged grid",
  finder: "view finder",
};

/**
 * What is printed of a shot in tiles. What is drawn on the sheet lies on tiles that its outline takes anyway, so this
 * needs no buildings.
 */
function tiled(scene: Scene, shot: Shot, tiling: Tiling): Tiles | string {
  const { width, height } = shot.sheet;
  try {
    const { box, layers } = drawPrint(scene, shot, tiling, () => []);
    const ofDesk = (tiling.of ?? "desk") === "desk";
    const sheet = Float64Array.from(ofDesk ? [0, 0, width, height, 0, height, width, 0] : []);
    return tilesOf(box, [...layers.map(({ lines }) => lines), sheet], tiling);
  } catch (wrong) {
    return (wrong as Error).message;
  }
}

interface TileMapProps {
  readonly tiles: Tiles;
  /** The names of those that are left out. */
  readonly left: ReadonlySet<string>;
  readonly onLeft: (left: ReadonlySet<string>) => void;
}

/** Where each sheet lies on the desk; a press leaves it out or takes it again. */
function TileMap({ tiles: { all, columns }, left, onLeft }: TileMapProps) {
  const press = (name: string) => {
    const next = new Set(left);
    if (!next.delete(name)) next.add(name);
    onLeft(next);
  };
  return (
    <div
      role="group"
      aria-label="Sheets to print"
      className="grid gap-0.5 overflow-x-auto"
      style={{ gridTemplateColumns: `repeat(${columns}, minmax(1.5rem, 1fr))` }}
    >
      {all.map(({ name, blank }) =>
        blank ? (
          <span key={name} aria-hidden />
        ) : (
          <button
            key={name}
            type="button"
            aria-pressed={!left.has(name)}
            className="measure h-6 rounded-sm border border-hair text-[11px] text-pencil hover:bg-wash
              aria-pressed:border-ink aria-pressed:bg-wash aria-pressed:text-ink"
            onClick={() => press(name)}
          >
            {name}
          </button>
        ),
      )}
    </div>
  );
}

interface ThingFieldsProps {
  readonly shot: Shot;
  readonly tiling: Tiling;
  readonly change: (part: Partial<Tiling>) => void;
}

/** How large an enlarged grid, or a view finder, is printed. */
function ThingFields({ shot, tiling, change }: ThingFieldsProps) {
  if (tiling.of === "grid") {
    const times = tiling.times ?? ENLARGED;
    return (
      <>
        <NumberField
          label="Times the panel"
          unit=""
          value={times}
          min={0.1}
          max={200}
          onChange={(to) => change({ times: to })}
        />
        <p className="text-pencil">
          Its squares are {((times * shot.frame.width) / squaresOf(shot)).toFixed(1)} mm wide. Show the enlargement grid
          on the drawing as well, and copy square by square.
        </p>
      </>
    );
  }
  if (tiling.of !== "finder") return null;
  const width = tiling.width ?? FINDER_WIDTH;
  const distance = finderDistance(shot, width);
  return (
    <>
      <NumberField
        label="Its window"
        unit="mm"
        value={width}
        min={10}
        max={1000}
        onChange={(to) => change({ width: to })}
      />
      <p className="text-pencil">
        {distance === null
          ? "It has the panel’s proportion; a curved lens sees more than a window."
          : `Held ${distance.toFixed(0)} mm from one eye, it shows what the panel does.`}
      </p>
    </>
  );
}

const NONE: ReadonlySet<string> = new Set();

/** The whole desk at true size on the sheets of a printer, so that the pins lie on paper. */
export function PrintFields() {
  const { useDocument, useShot } = useStores();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const [tiling, setTiling] = useState<Tiling>(DEFAULT_TILING);
  const [left, setLeft] = useState(NONE);
  const { work, print } = usePrint();
  const tiles = useMemo(() => tiled(scene, shot, tiling), [scene, shot, tiling]);
  const drawn = typeof tiles === "string" ? [] : tiles.all.filter(({ blank }) => !blank).map(({ name }) => name);
  const wanted = drawn.filter((name) => !left.has(name));
  // Other paper makes other sheets: what was left out of the old ones says nothing of the new.
  const change = (part: Partial<Tiling>) => {
    setTiling({ ...tiling, ...part });
    setLeft(NONE);
  };
  const some = wanted.length < drawn.length ? { only: wanted } : {};
  return (
    <Fold title="Print in tiles">
      <Select labelled label="Print" value={tiling.of ?? "desk"} options={THINGS} onChange={(of) => change({ of })} />
      <ThingFields shot={shot} tiling={tiling} change={change} />
      <Select
        labelled
        label="Paper of the printer"
        value={tiling.paper}
        options={PAPERS}
        onChange={(paper) => change({ paper })}
      />
      <Check label="Landscape" checked={tiling.landscape} onChange={(landscape) => change({ landscape })} />
      <NumberField
        label="Overlap"
        unit="mm"
        value={tiling.overlap}
        min={0}
        max={60}
        onChange={(overlap) => change({ overlap })}
      />
      <NumberField
        label="White margin"
        unit="mm"
        value={tiling.margin}
        min={0}
        max={40}
        onChange={(margin) => change({ margin })}
      />
      {typeof tiles === "string" ? (
        <p className="text-pencil">{tiles}</p>
      ) : (
        <>
          <TileMap tiles={tiles} left={left} onLeft={setLeft} />
          <p className="text-pencil">
            {wanted.length} {wanted.length === 1 ? "sheet" : "sheets"} and a contents map. Press a sheet to leave it
            out.
          </p>
        </>
      )}
      {!work.busy && (
        <Button
          className="w-full"
          disabled={wanted.length === 0}
          onClick={() =>
            void print(
              { tiling: { ...tiling, ...some } },
              fileName(`${scene.title} ${shot.name} ${FILES[tiling.of ?? "desk"]}`),
            )
          }
        >
          Print at true size
        </Button>
      )}
      <PrintProgress work={work} of="Sheet" laying="Laying the desk out…" />
    </Fold>
  );
}
