import { useState } from "react";
import { fromGeoJson } from "@zanvo/core/exchange";
import { exportPath, fetchExport } from "../api";
import { fileName } from "@zanvo/core/scene";
import { edit, useBoard, useShot } from "../board/board";
import { savedFirst } from "../board/saving";
import { download, pickFile } from "../files";
import { Button, Fold, NumberField, say } from "../ui";

/** The largest file that is read, bytes. */
const MOST = 60_000_000;

/** Masses brought in from real ground, and saved for other programs. */
export function GroundFields() {
  const id = useBoard((board) => board.id);
  const scene = useBoard((board) => board.scene);
  const shot = useShot();
  const [notes, setNotes] = useState<readonly string[]>([]);
  const { ground } = scene;
  const bring = async () => {
    const file = await pickFile(".geojson,.json,application/geo+json");
    if (!file) return;
    if (file.size > MOST) return say(`This file has ${Math.round(file.size / 1e6)} MB; up to ${MOST / 1e6} can be read. Cut it to the quarter you draw.`);
    try {
      const found = fromGeoJson(JSON.parse(await file.text()), ground, () => crypto.randomUUID());
      if (found.elements.length) edit((next) => {
        next.ground = found.ground;
        next.elements.push(...(found.elements as never[]));
      });
      setNotes([`${found.elements.length} buildings were brought in.`, ...found.notes]);
    } catch (error) {
      say(error instanceof SyntaxError ? `This file is no JSON: ${error.message}` : (error as Error).message);
    }
  };
  const save = async (format: "obj" | "geojson") => {
    try {
      await savedFirst();
      download(await fetchExport(exportPath(id, shot.id, format), new AbortController().signal), `${fileName(scene.title)}.${format}`);
    } catch (error) {
      say((error as Error).message);
    }
  };
  const degrees = { unit: "°", digits: 5, step: 0.001 } as const;
  return (
    <Fold title="Real ground and other programs">
      <Button className="w-full" onClick={() => void bring()}>Bring in GeoJSON</Button>
      {notes.length > 0 && <ul aria-label="What came of it" className="max-h-40 list-disc space-y-0.5 overflow-y-auto pl-4">{notes.map((note, i) => <li key={i}>{note}</li>)}</ul>}
      {ground && (
        <>
          <NumberField label="Latitude of the origin" {...degrees} min={-85} max={85} value={ground.latitude} onChange={(latitude) => edit((next) => { next.ground = { ...ground, latitude }; })} />
          <NumberField label="Longitude of the origin" {...degrees} min={-180} max={180} value={ground.longitude} onChange={(longitude) => edit((next) => { next.ground = { ...ground, longitude }; })} />
          <NumberField label="True north" unit="°" digits={1} min={-360} max={360} value={ground.north} onChange={(north) => edit((next) => { next.ground = { ...ground, north }; })} />
        </>
      )}
      <div className="grid grid-cols-2 gap-1">
        <Button onClick={() => void save("obj")}>Save as OBJ</Button>
        <Button onClick={() => void save("geojson")}>Save as GeoJSON</Button>
      </div>
    </Fold>
  );
}
