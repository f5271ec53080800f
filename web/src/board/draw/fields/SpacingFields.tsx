import { evenlyOff, spacedOnPlane, spacedOnSheet } from "@zanvo/core/dividing";
import { asRhythm, partsOf } from "@zanvo/core/rhythm";
import { FITS } from "@zanvo/core/rhythm";
import { toldBy } from "@zanvo/core/problem";
import { measureWall } from "@zanvo/core/recover";
import { viewOf } from "@zanvo/core/shot";
import { mm, sentence, type Told } from "@zanvo/core/units";
import { pinsOf } from "@zanvo/core/vanishing";
import { NumberField, Select, TextField } from "../../../ui";
import { useBoard } from "../../useBoard";
import { FIT_NAMES } from "../names";
import { Answer } from "../../../dividing/Answer";
import { useChange, type Of } from "./useChange";

/** A photographed wall's bays, taken for a rhythm. */
function BaysField({ onTake }: { readonly onTake: (rhythm: string) => void }) {
  const { useDocument, say } = useBoard();
  const references = useDocument((document) => document.scene.references);
  const walls = (references ?? []).flatMap((reference) =>
    (reference.walls ?? []).filter(({ marks }) => marks?.length).map((wall) => ({ reference, wall })),
  );
  if (walls.length === 0) return null;
  return (
    <Select
      labelled
      label="Bays of"
      className="min-w-0 grow"
      value=""
      options={[["", "a traced wall"], ...walls.map(({ wall }, i) => [String(i), wall.name] as const)]}
      onChange={(at) => {
        const one = walls[Number(at)];
        if (at === "" || !one) return;
        try {
          onTake(asRhythm(measureWall(one.reference, one.wall).bays));
        } catch (error) {
          say(toldBy(error));
        }
      }}
    />
  );
}

/** Into what a line is divided, and towards which set. */
export function SpacingFields({ line }: { readonly line: Of<"spacing"> }) {
  const { useDocument, useShot } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const change = useChange();
  const pins = pinsOf(orientations, shot);
  const take = (parts: string) => {
    partsOf(parts, "");
    change({ ...line, parts });
  };
  const told = (): Told | null => {
    if ("plane" in line) return `${spacedOnPlane(line).places.length - 1} parts in true measure.`;
    const spaced = spacedOnSheet(viewOf(shot), pins, line);
    const off = evenlyOff(spaced);
    return line.towards === undefined
      ? "It runs to no set: the parts are even on paper."
      : sentence`Even spacing on paper would be off by up to ${mm(off)}.`;
  };
  return (
    <>
      <TextField label="Parts: a number, or a rhythm" value={line.parts} onChange={take} />
      <BaysField onTake={take} />
      <Select
        labelled
        label="What remains"
        value={line.fit ?? "stretch"}
        options={FITS.map((id) => [id, FIT_NAMES[id]])}
        onChange={(fit) => change({ ...line, fit })}
      />
      {line.fit !== undefined && line.fit !== "stretch" && !("plane" in line) && (
        <NumberField
          label="Length in the parts' unit"
          unit=""
          digits={3}
          min={0.001}
          max={1e6}
          value={line.length ?? 1}
          onChange={(length) => change({ ...line, length })}
        />
      )}
      {!("plane" in line) && (
        <Select
          labelled
          label="Runs to"
          className="min-w-0 grow"
          value={line.towards ?? ""}
          options={[
            ["", "no set"],
            ...pins.filter(({ opposite }) => !opposite).map(({ id, name }) => [id, name] as const),
          ]}
          onChange={(id) => change({ ...line, towards: id || undefined })}
        />
      )}
      <Answer work={told} />
    </>
  );
}
