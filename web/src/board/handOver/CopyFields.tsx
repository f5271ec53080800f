import { exportPath, fetchExport } from "../../api";
import { NOT_GRID } from "./grid";
import { useStores } from "../../stores";
import { Button, useWork, Working } from "../../ui";

interface CopyFieldsProps {
  readonly dpi: number;
  /** Kinds of layers that are left out. */
  readonly without: readonly string[];
}

/** Puts the drawing, or its grid alone, into the clipboard as a picture without paper, for a canvas elsewhere. */
export function CopyFields({ dpi, without }: CopyFieldsProps) {
  const { useDocument, useShot, saving, say } = useStores();
  const id = useDocument((document) => document.id);
  const shot = useShot();
  const work = useWork("Copying");
  const copy = (leftOut: readonly string[], told: string) =>
    work.run(async (signal) => {
      await saving.savedFirst();
      const query = { dpi: String(dpi), transparent: "1", ...(leftOut.length ? { without: leftOut.join(",") } : {}) };
      const { file } = await fetchExport(exportPath(id, shot.id, "png", query), signal);
      await navigator.clipboard.write([new ClipboardItem({ "image/png": file })]);
      say(told);
    });
  return (
    <>
      <div className="flex gap-1.5">
        <Button
          className="grow"
          disabled={work.busy}
          onClick={() => void copy(without, "The drawing is in the clipboard.")}
        >
          Copy it
        </Button>
        <Button
          className="grow"
          disabled={work.busy}
          onClick={() => void copy(NOT_GRID, "The grid is in the clipboard.")}
        >
          Copy its grid
        </Button>
      </div>
      <Working work={work}>Drawing…</Working>
    </>
  );
}
