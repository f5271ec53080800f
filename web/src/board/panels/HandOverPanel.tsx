import { useRef, useState } from "react";
import type { FormatInfo } from "@zanvo/core/answers";
import { toldBy } from "@zanvo/core/problem";
import { exportPath, fetchExport } from "../../api";
import { LAYER_KINDS, strengthOf } from "@zanvo/core/drawing";
import { fileName, pageOf } from "@zanvo/core/scene";
import { download } from "../../files";
import { useFormats } from "../../formats";
import { Button, Check, NumberField, say, Working } from "../../ui";
import { saving } from "../../document/saving";
import { BlankGrids } from "./BlankGrids";
import { PrintFields } from "./PrintFields";
import { useDocument, useShot } from "../../document";

/**
 * The drawing taken to paper: SVG in true millimetres, PDF and PNG, the whole desk at true size in tiles, and the
 * scene's own file.
 */
export function HandOverPanel() {
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const [dpi, setDpi] = useState(300);
  const [without, setWithout] = useState<readonly string[]>([]);
  const formats = useFormats("drawing");
  const panels = pageOf(scene, shot).length;
  const [whole, setWhole] = useState(true);
  const page = panels > 1 && whole;
  const [busy, setBusy] = useState(false);
  const stop = useRef<AbortController | null>(null);

  const save = async ({ id: format, extension, dots }: FormatInfo) => {
    stop.current = new AbortController();
    setBusy(true);
    try {
      await saving.savedFirst();
      const query = {
        ...(without.length ? { without: without.join(",") } : {}),
        ...(page ? { page: "1" } : {}),
        ...(dots ? { dpi: String(dpi) } : {}),
      };
      const { file, missing } = await fetchExport(exportPath(id, shot.id, format, query), stop.current.signal);
      download(file, `${fileName(`${scene.title} ${shot.name}`)}.${extension}`);
      if (missing) say(`The file lacks a photo that is not on this machine: ${missing}. It says so on its margin.`);
    } catch (error) {
      if ((error as Error).name !== "AbortError") say(toldBy(error));
    } finally {
      setBusy(false);
    }
  };
  const pixels = [shot.sheet.width, shot.sheet.height].map((mm) => Math.round((mm / 25.4) * dpi).toLocaleString("en"));
  return (
    <div className="space-y-3">
      <fieldset>
        <legend className="font-medium">On the paper</legend>
        <div className="grid grid-cols-2">
          {LAYER_KINDS.filter((kind) => strengthOf(kind, shot) > 0).map(({ id: kind, label }) => (
            <Check
              key={kind}
              label={label}
              checked={!without.includes(kind)}
              onChange={(checked) => setWithout(checked ? without.filter((one) => one !== kind) : [...without, kind])}
            />
          ))}
        </div>
        {shot.under && (
          <Check
            label="The photo under it"
            checked={!without.includes("photo")}
            onChange={(checked) =>
              setWithout(checked ? without.filter((one) => one !== "photo") : [...without, "photo"])
            }
          />
        )}
        {panels > 1 && <Check label={`All ${panels} panels of the page`} checked={page} onChange={setWhole} />}
      </fieldset>
      {formats.map((format, i) =>
        format.dots ? (
          <div key={format.id} className="space-y-1.5 border-t border-hair pt-2">
            <NumberField
              label="Resolution"
              unit="dpi"
              digits={0}
              value={dpi}
              min={36}
              max={1e6}
              step={10}
              onChange={(value) => setDpi(Math.round(value))}
            />
            <p className="measure text-pencil">{pixels.join(" × ")} px</p>
            <SaveAs format={format} busy={busy} onSave={save} />
          </div>
        ) : (
          <SaveAs key={format.id} format={format} primary={i === 0} busy={busy} onSave={save} />
        ),
      )}
      {busy && <Working onStop={() => stop.current?.abort()}>Drawing…</Working>}
      <PrintFields />
      <BlankGrids />
      <Button
        className="w-full"
        onClick={() =>
          download(
            new Blob([`${JSON.stringify(scene, null, 2)}\n`], { type: "application/json" }),
            `${fileName(scene.title)}.zanvo.json`,
          )
        }
      >
        Save the scene as a file
      </Button>
    </div>
  );
}

interface SaveAsProps {
  readonly format: FormatInfo;
  readonly primary?: boolean;
  readonly busy: boolean;
  readonly onSave: (format: FormatInfo) => Promise<void>;
}

function SaveAs({ format, primary, busy, onSave }: SaveAsProps) {
  return (
    <Button primary={primary} className="w-full" disabled={busy} onClick={() => void onSave(format)}>
      Save {format.label}
    </Button>
  );
}
