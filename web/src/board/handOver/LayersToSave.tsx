import { LAYER_KINDS, strengthOf } from "@zanvo/core/drawing";
import { lightsOf } from "@zanvo/core/light";
import { useStores } from "../../stores";
import { Check, Fold, Select, type Option } from "../../ui";
import type { FileChoices } from "./createHandOver";

const BY: readonly Option<FileChoices["by"]>[] = [
  ["kind", "Kind of line"],
  ["depth", "Depth"],
  ["thing", "Thing"],
  ["panel", "Panel"],
];

/** Which layers go into a file, and what they are told apart by. */
export function LayersToSave() {
  const { useDocument, useShot, useHandOver, chooseHandOver } = useStores();
  const { without, by } = useHandOver();
  const shot = useShot();
  const lights = useDocument(({ scene }) => scene.lights);
  const isLit = lightsOf({ lights }, shot).length > 0;
  const layers = [
    ...LAYER_KINDS.filter((kind) => strengthOf(kind, shot) > 0 && (isLit || !kind.onlyLit)),
    ...(shot.under ? [{ id: "photo", label: "The photo under it" }] : []),
  ];
  const left = layers.filter(({ id }) => without.includes(id)).length;
  const set = (id: string, isIn: boolean) =>
    chooseHandOver({ without: isIn ? without.filter((one) => one !== id) : [...without, id] });
  return (
    <Fold title={left > 0 ? `On the paper, without ${left}` : "On the paper"}>
      <div className="grid grid-cols-2">
        {layers.map(({ id, label }) => (
          <Check key={id} label={label} checked={!without.includes(id)} onChange={(isIn) => set(id, isIn)} />
        ))}
      </div>
      <Select
        labelled
        label="Layers of files by"
        value={by}
        options={BY}
        onChange={(next) => chooseHandOver({ by: next })}
      />
    </Fold>
  );
}
