import type { FormatInfo } from "@zanvo/core/answers";
import type { Ground } from "@zanvo/core/exchange";
import { fileName } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { useState } from "react";
import { isBuilding } from "@zanvo/core/world";
import { exportPath, fetchExport } from "../api";
import { dressMany } from "../document/dress";
import { download, pickFile } from "../files";
import { useFormats } from "../formats";
import { Button, Fold, MeasureField, NumberField, useWork, Working } from "../ui";
import { bringIn, MOST_THINGS, spaceLeft, type Brought } from "./ground";
import { useStores, type Stores } from "../stores";

/** Roofs and windows for all that came in, in one press. */
function Dress({ ids }: { readonly ids: readonly string[] }) {
  const stores = useStores();
  const own = new Set(ids);
  const buildings = stores
    .useDocument(({ scene }) => scene.elements)
    .filter((one) => own.has(one.id) && isBuilding(one));
  if (buildings.length === 0) return null;
  return (
    <Button className="w-full" onClick={() => dressMany(stores, buildings)}>
      Give them roofs and windows by rule
    </Button>
  );
}

/** A file of real ground brought in, and what came of it. */
function BringIn({ onBrought }: GroundFieldsProps) {
  const stores = useStores();
  const { useMeasures, say } = stores;
  const [{ ids, notes }, setBrought] = useState<Brought>({ ids: [], notes: [] });
  const work = useWork("Reading the file");
  const measures = useMeasures();
  const bring = async () => {
    const file = await pickFile(".geojson,.json,application/geo+json");
    if (!file) return;
    if (spaceLeft(stores) <= 0)
      return say(`This scene holds ${MOST_THINGS.toLocaleString("en")} things, as many as it can.`);
    const brought = await work.run((signal, tell) => bringIn(stores, file, signal, tell));
    setBrought(brought ?? { ids: [], notes: [] });
    if (brought?.ids.length) onBrought();
  };
  return (
    <>
      <Button className="w-full" disabled={work.busy} onClick={() => void bring()}>
        Import GeoJSON
      </Button>
      <Working work={work} label="The file is read">
        Reading the file…
      </Working>
      {notes.length > 0 && (
        <ul aria-label="What came of it" className="max-h-40 list-disc space-y-0.5 overflow-y-auto pl-4">
          {notes.map((note, i) => (
            <li key={i}>{measures(note)}</li>
          ))}
        </ul>
      )}
      <Dress ids={ids} />
    </>
  );
}

/** Decimals of a degree on the Earth: a metre or so. */
const DIGITS = 5;

const put = (stores: Stores, ground: Ground) =>
  stores.edit((scene) => {
    scene.ground = ground;
  });

/** Where on the Earth the origin is, and which way true north lies. */
function Origin({ ground }: { readonly ground: Ground }) {
  const stores = useStores();
  return (
    <>
      {(["latitude", "longitude", "north"] as const).map((key) => (
        <MeasureField
          key={key}
          measure={sceneMeasure(`ground/${key}`)}
          digits={key === "north" ? undefined : DIGITS}
          value={ground[key]}
          onChange={(to) => put(stores, { ...ground, [key]: to })}
        />
      ))}
    </>
  );
}

/** Masses saved for other programs. */
function SaveMasses() {
  const { useDocument, useShot, saving } = useStores();
  const id = useDocument((document) => document.id);
  const title = useDocument((document) => document.scene.title);
  const shot = useShot();
  const formats = useFormats("masses");
  const work = useWork("The export");
  const meshes = formats.find((format) => format.tolerance);
  const [within, setWithin] = useState<number>();
  const save = ({ id: format, extension, ...info }: FormatInfo) =>
    work.run(async (signal) => {
      await saving.savedFirst();
      const query = info.tolerance && within !== undefined ? { tolerance: String(within) } : undefined;
      const { file } = await fetchExport(exportPath(id, shot.id, format, query), signal);
      download(file, `${fileName(title)}.${extension}`);
    });
  return (
    <>
      <div className="grid grid-cols-2 gap-1">
        {formats.map((format) => (
          <Button key={format.id} disabled={work.busy} onClick={() => void save(format)}>
            Save as {format.label}
          </Button>
        ))}
      </div>
      {meshes?.tolerance && (
        <NumberField
          label={`Round faces in ${meshes.label} within`}
          unit="mm"
          value={within ?? meshes.tolerance.default}
          min={meshes.tolerance.minimum}
          max={meshes.tolerance.maximum}
          step={1}
          onChange={setWithin}
        />
      )}
      <Working work={work}>Writing the file…</Working>
    </>
  );
}

interface GroundFieldsProps {
  /** Something came in. */
  readonly onBrought: () => void;
}

/** Masses brought in from real ground, and saved for other programs. */
export function GroundFields({ onBrought }: GroundFieldsProps) {
  const stores = useStores();
  const { useDocument } = stores;
  const ground = useDocument((document) => document.scene.ground);
  return (
    <Fold title="Real ground and other programs">
      <BringIn onBrought={onBrought} />
      {ground ? (
        <Origin ground={ground} />
      ) : (
        <Button className="w-full" onClick={() => put(stores, { longitude: 0, latitude: 0, north: 0 })}>
          Say first where the origin is
        </Button>
      )}
      <SaveMasses />
    </Fold>
  );
}
