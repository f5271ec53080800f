import type { ReactNode } from "react";
import type { FormatInfo } from "@zanvo/core/answers";
import { exportPath, fetchExport } from "../../api";
import { LAYER_KINDS, strengthOf } from "@zanvo/core/drawing";
import { lightsOf } from "@zanvo/core/light";
import { fileName, pageOf, type Shot } from "@zanvo/core/scene";
import { download } from "../../files";
import { useFormats } from "../../formats";
import { Button, Check, Fold, NumberField, useWork, Working } from "../../ui";
import { BlankGrids } from "./BlankGrids";
import { downloadPlain, downloadWhole, picturesOf } from "../../sceneFile";
import { CopyFields } from "./CopyFields";
import { PrintFields } from "./PrintFields";
import { DepthFields, HandFields, PenFields } from "../finish";
import { useStores } from "../../stores";

interface ChosenLayers {
  /** Kinds of layers that are left out. */
  readonly without: readonly string[];
  readonly setWithout: (without: readonly string[]) => void;
  readonly shot: Shot;
}

/** Which layers go into the file, and whether all panels of the page do. */
function LayersToSave({ without, setWithout, shot, children }: ChosenLayers & { readonly children: ReactNode }) {
  const { useDocument } = useStores();
  const isLit =
    lightsOf(
      useDocument(({ scene }) => scene),
      shot,
    ).length > 0;
  const layers = [
    ...LAYER_KINDS.filter((kind) => strengthOf(kind, shot) > 0 && (isLit || !kind.ofLights)),
    ...(shot.under ? [{ id: "photo", label: "The photo under it" }] : []),
  ];
  return (
    <fieldset>
      <legend className="font-medium">On the paper</legend>
      <div className="grid grid-cols-2">
        {layers.map(({ id, label }) => (
          <Check
            key={id}
            label={label}
            checked={!without.includes(id)}
            onChange={(checked) => setWithout(checked ? without.filter((one) => one !== id) : [...without, id])}
          />
        ))}
      </div>
      {children}
    </fieldset>
  );
}

/** Saves a file that the server draws, of what is saved; it can be stopped. */
function useExport() {
  const { useDocument, useShot, saving, say } = useStores();
  const id = useDocument((document) => document.id);
  const title = useDocument((document) => document.scene.title);
  const shot = useShot();
  const work = useWork("The export");
  const save = ({ id: format, extension }: FormatInfo, query: Readonly<Record<string, string>>) =>
    work.run(async (signal) => {
      await saving.savedFirst();
      const { file, missing } = await fetchExport(exportPath(id, shot.id, format, query), signal);
      download(file, `${fileName(`${title} ${shot.name}`)}.${extension}`);
      if (missing) say(`The file lacks a photo that is not on this machine: ${missing}. It says so on its margin.`);
    });
  return { work, save };
}

interface ResolutionProps {
  readonly dpi: number;
  readonly toPanel: boolean;
  readonly onChange: (dpi: number) => void;
}

function Resolution({ dpi, toPanel, onChange }: ResolutionProps) {
  const { useShot } = useStores();
  const { sheet, frame } = useShot();
  const { width, height } = toPanel ? frame : sheet;
  const pixels = [width, height].map((mm) => Math.round((mm / 25.4) * dpi).toLocaleString("en"));
  return (
    <>
      <NumberField
        label="Resolution"
        unit="dpi"
        digits={0}
        value={dpi}
        min={36}
        max={1e6}
        step={10}
        onChange={(value) => onChange(Math.round(value))}
      />
      <p className="measure text-pencil">{pixels.join(" × ")} px</p>
    </>
  );
}

/**
 * The drawing taken to paper: with which pens, in true millimetres or in dots, whole or in layers; the whole desk at
 * true size in tiles; and the scene's own file.
 */
export function HandOverPanel() {
  const { useDocument, useShot, useHandOver, chooseHandOver } = useStores();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const { dpi, without, whole, transparent, toPanel, mirrored, blue, inked } = useHandOver();
  const formats = useFormats("drawing");
  const [ofDots, ofLines] = [true, false].map((dots) => formats.filter((format) => (format.dots ?? false) === dots));
  const { work, save } = useExport();
  const panels = pageOf(scene, shot).length;
  const page = panels > 1 && whole;
  const saveAs = (format: FormatInfo) =>
    save(format, {
      ...(without.length ? { without: without.join(",") } : {}),
      ...(page ? { page: "1" } : {}),
      ...(mirrored ? { mirrored: "1" } : {}),
      ...(blue ? { blue: "1" } : {}),
      ...(format.dots ? { dpi: String(dpi) } : {}),
      ...(format.dots && transparent ? { transparent: "1" } : {}),
      ...(format.dots && toPanel ? { panel: "1" } : {}),
    });
  return (
    <div className="space-y-3">
      <LayersToSave without={without} setWithout={(now) => chooseHandOver({ without: now })} shot={shot}>
        {panels > 1 && (
          <Check
            label={`All ${panels} panels of the page`}
            checked={page}
            onChange={(on) => chooseHandOver({ whole: on })}
          />
        )}
      </LayersToSave>
      <Check label="Show it as it will be inked" checked={inked} onChange={(on) => chooseHandOver({ inked: on })} />
      <PenFields />
      <DepthFields />
      <HandFields />
      <Fold title="To be transferred to other paper">
        <Check
          label="Mirrored, to be rubbed off its back"
          checked={mirrored}
          onChange={(on) => chooseHandOver({ mirrored: on })}
        />
        <Check
          label="All in pale blue, to be drawn over"
          checked={blue}
          onChange={(on) => chooseHandOver({ blue: on })}
        />
      </Fold>
      {ofLines.map((format, i) => (
        <SaveAs key={format.id} format={format} primary={i === 0} busy={work.busy} onSave={saveAs} />
      ))}
      {ofDots.length > 0 && (
        <div className="space-y-1.5 border-t border-hair pt-2">
          <Resolution dpi={dpi} toPanel={toPanel} onChange={(now) => chooseHandOver({ dpi: now })} />
          <Check
            label="No paper under the lines"
            checked={transparent}
            onChange={(on) => chooseHandOver({ transparent: on })}
          />
          <Check label="Crop to the panel" checked={toPanel} onChange={(on) => chooseHandOver({ toPanel: on })} />
          {ofDots.map((format) => (
            <SaveAs key={format.id} format={format} busy={work.busy} onSave={saveAs} />
          ))}
          <CopyFields dpi={dpi} without={without} />
        </div>
      )}
      <Working work={work}>Drawing…</Working>
      <PrintFields />
      <BlankGrids />
      <SaveScene />
    </div>
  );
}

/** The scene itself as a file: with its photos where it has some, or as plain JSON. */
function SaveScene() {
  const { useDocument, say } = useStores();
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const work = useWork("Saving the file");
  const photos = picturesOf(scene).length;
  const save = () =>
    work.run(async (signal) => {
      const missing = await downloadWhole(id, scene, signal);
      if (missing) say(`The file lacks ${missing} of its photos: they are not on this machine.`);
    });
  return (
    <div className="space-y-1.5 border-t border-hair pt-2">
      <Button className="w-full" disabled={work.busy} onClick={() => void save()}>
        {photos ? "Save the scene with its photos" : "Save the scene as a file"}
      </Button>
      {photos > 0 && (
        <Button className="w-full" onClick={() => downloadPlain(scene)}>
          Save it without them
        </Button>
      )}
      <Working work={work}>Packing the photos…</Working>
    </div>
  );
}

interface SaveAsProps {
  readonly format: FormatInfo;
  readonly primary?: boolean;
  readonly busy: boolean;
  readonly onSave: (format: FormatInfo) => Promise<unknown>;
}

function SaveAs({ format, primary, busy, onSave }: SaveAsProps) {
  return (
    <Button primary={primary} className="w-full" disabled={busy} onClick={() => void onSave(format)}>
      Export {format.label}
    </Button>
  );
}
