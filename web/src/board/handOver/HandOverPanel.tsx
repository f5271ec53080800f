import type { FormatInfo } from "@zanvo/core/answers";
import { pageOf } from "@zanvo/core/scene";
import { useFormats } from "../../formats";
import { useStores } from "../../stores";
import { Button, Check, Working } from "../../ui";
import { DepthFields, HandFields, PenFields } from "../finish";
import { BlankGrids } from "./BlankGrids";
import { CopyFields } from "./CopyFields";
import { DotsFields } from "./DotsFields";
import { LayersToSave } from "./LayersToSave";
import { PresetFields } from "./PresetFields";
import { PrintFields } from "./PrintFields";
import { SaveScene } from "./SaveScene";
import { TransferFields } from "./TransferFields";
import { useExport } from "./useExport";

/** Whether a file holds all panels of a page, and whether all shots are saved at once. */
function HowMany() {
  const { useDocument, useShot, useHandOver, chooseHandOver } = useStores();
  const scene = useDocument((document) => document.scene);
  const { whole, all } = useHandOver();
  const panels = pageOf(scene, useShot()).length;
  return (
    <>
      {panels > 1 && (
        <Check
          label={`All ${panels} panels of the page`}
          checked={whole}
          onChange={(on) => chooseHandOver({ whole: on })}
        />
      )}
      {scene.shots.length > 1 && (
        <Check
          label={`All ${scene.shots.length} shots, in one ZIP`}
          checked={all}
          onChange={(on) => chooseHandOver({ all: on })}
        />
      )}
    </>
  );
}

/**
 * The drawing taken to paper: with which pens, in true millimetres or in dots, whole or in layers; the whole desk at
 * true size in tiles; and the scene's own file.
 */
export function HandOverPanel() {
  const { useHandOver, chooseHandOver } = useStores();
  const { dpi, without, inked } = useHandOver();
  const formats = useFormats("drawing");
  const [ofDots, ofLines] = [true, false].map((dots) => formats.filter((format) => (format.dots ?? false) === dots));
  const { work, save } = useExport();
  return (
    <div className="space-y-2">
      <Check label="Show it as it will be inked" checked={inked} onChange={(on) => chooseHandOver({ inked: on })} />
      <PenFields />
      <DepthFields />
      <HandFields />
      <LayersToSave />
      <TransferFields />
      <PresetFields />
      <HowMany />
      {ofLines.map((format, i) => (
        <SaveAs key={format.id} format={format} primary={i === 0} busy={work.busy} onSave={save} />
      ))}
      {ofDots.length > 0 && (
        <div className="space-y-1.5 border-t border-hair pt-2">
          <DotsFields />
          {ofDots.map((format) => (
            <SaveAs key={format.id} format={format} busy={work.busy} onSave={save} />
          ))}
          <CopyFields dpi={dpi} without={without} />
        </div>
      )}
      <Working work={work} label="Shots drawn">
        {work.going?.of ? `Shot ${work.going.done + 1} of ${work.going.of}` : "Drawing…"}
      </Working>
      <PrintFields />
      <BlankGrids />
      <SaveScene />
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
