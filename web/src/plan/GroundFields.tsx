import { proxy } from "comlink";
import { useState } from "react";
import { MAX_FEATURES } from "@zanvo/core/exchange";
import type { FormatInfo } from "@zanvo/core/answers";
import { toldBy } from "@zanvo/core/problem";
import { exportPath, fetchExport } from "../api";
import { useFormats } from "../formats";
import { fileName } from "@zanvo/core/scene";
import { saving } from "../document/saving";
import { download, pickFile } from "../files";
import { Button, Fold, NumberField, Progress, say, Working, useWork } from "../ui";
import { steady } from "../worker";
import type { GroundWorker } from "./ground.worker";
import { useDocument, edit, useShot } from "../document";

/** A scene holds no more things than these. */
const MOST_THINGS = 20_000;

/** Masses brought in from real ground, and saved for other programs. */
export function GroundFields() {
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const [notes, setNotes] = useState<readonly string[]>([]);
  const [share, setShare] = useState(0);
  const work = useWork();
  const { ground } = scene;
  const bring = async () => {
    const file = await pickFile(".geojson,.json,application/geo+json");
    if (!file) return;
    const room = MOST_THINGS - scene.elements.length;
    if (room <= 0) return say(`This scene holds ${MOST_THINGS.toLocaleString("en")} things, as many as it can.`);
    const worker = steady<GroundWorker>(
      () => new Worker(new URL("./ground.worker.ts", import.meta.url), { type: "module" }),
    );
    try {
      const found = await work.run(async (signal) => {
        const stopped = new Promise<null>((resolve) => signal.addEventListener("abort", () => resolve(null)));
        return Promise.race([
          worker.call((remote) => remote.bring(file, ground, Math.min(room, MAX_FEATURES), proxy(setShare))),
          stopped,
        ]);
      });
      if (!found) return setNotes([]);
      const elements = found.elements.slice(0, room);
      if (elements.length)
        edit((next) => {
          next.ground = found.ground;
          next.elements.push(...elements);
        });
      const left = found.elements.length - elements.length;
      setNotes([
        elements.length === 1
          ? "One thing was brought in."
          : `${elements.length.toLocaleString("en")} things were brought in.`,
        ...(left > 0 ? [`${left.toLocaleString("en")} more found no room in this scene.`] : []),
        ...found.notes,
      ]);
    } catch (error) {
      say(toldBy(error));
    } finally {
      worker.end();
    }
  };
  const save = async ({ id: format, extension }: FormatInfo) => {
    try {
      await saving.savedFirst();
      const { file } = await fetchExport(exportPath(id, shot.id, format), new AbortController().signal);
      download(file, `${fileName(scene.title)}.${extension}`);
    } catch (error) {
      say(toldBy(error));
    }
  };
  const formats = useFormats("masses");
  const degrees = { unit: "°", digits: 5, step: 0.001 } as const;
  return (
    <Fold title="Real ground and other programs">
      <Button
        className="w-full"
        disabled={work.busy}
        onClick={() => {
          setShare(0);
          void bring();
        }}
      >
        Bring in GeoJSON
      </Button>
      {work.busy && <Working onStop={work.stop}>Reading the file…</Working>}
      {work.busy && <Progress label="The file is read" done={share} of={1} />}
      {notes.length > 0 && (
        <ul aria-label="What came of it" className="max-h-40 list-disc space-y-0.5 overflow-y-auto pl-4">
          {notes.map((note, i) => (
            <li key={i}>{note}</li>
          ))}
        </ul>
      )}
      {!ground && (
        <Button
          className="w-full"
          onClick={() =>
            edit((next) => {
              next.ground = { longitude: 0, latitude: 0, north: 0 };
            })
          }
        >
          Say first where the origin is
        </Button>
      )}
      {ground && (
        <>
          <NumberField
            label="Latitude of the origin"
            {...degrees}
            min={-85}
            max={85}
            value={ground.latitude}
            onChange={(latitude) =>
              edit((next) => {
                next.ground = { ...ground, latitude };
              })
            }
          />
          <NumberField
            label="Longitude of the origin"
            {...degrees}
            min={-180}
            max={180}
            value={ground.longitude}
            onChange={(longitude) =>
              edit((next) => {
                next.ground = { ...ground, longitude };
              })
            }
          />
          <NumberField
            label="True north"
            unit="°"
            digits={1}
            min={-360}
            max={360}
            value={ground.north}
            onChange={(north) =>
              edit((next) => {
                next.ground = { ...ground, north };
              })
            }
          />
        </>
      )}
      <div className="grid grid-cols-2 gap-1">
        {formats.map((format) => (
          <Button key={format.id} onClick={() => void save(format)}>
            Save as {format.label}
          </Button>
        ))}
      </div>
    </Fold>
  );
}
