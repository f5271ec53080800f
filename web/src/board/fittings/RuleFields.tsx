import { measureOf } from "@zanvo/core/fields";
import { orNothing } from "@zanvo/core/problem";
import { partsOf } from "@zanvo/core/rhythm";
import {
  BAY_NAMES,
  CLEAR_UNDER,
  kindOf,
  requireValid,
  storeysOf,
  withFront,
  type Building,
  type Front,
} from "@zanvo/core/world";
import { Check, MeasureField, optionsOf, Select, TextField } from "../../ui";
import { FIT_NAMES } from "../draw/names";
import type { ChangeBuilding } from "./change";
import { useSpoken } from "../../stores";

/** An awning as it is at first, m. */
const AWNING = { out: 1.2, drop: 0.5 } as const;

/** Whether any bay of a front is a shop. */
function hasShops({ bays }: Front): boolean {
  return orNothing(() => partsOf(bays)).some(({ name }) => name === "shop");
}

/** The rule of a front: its bays, its ends, and the ground floor of the building. */
export function RuleFields({
  building,
  side,
  front,
  change,
}: {
  readonly building: Building;
  readonly side: number;
  readonly front: Front;
  readonly change: ChangeBuilding;
}) {
  const spoken = useSpoken();
  const measure = (path: string) => measureOf(kindOf(building).schema, path);
  const { awning } = front;
  const put = (part: Partial<Front>, what: string) =>
    change(requireValid(withFront(building, { ...front, ...part })), `front ${side} ${what}`);
  return (
    <>
      <TextField
        label="Bays: a number, or a rhythm"
        value={front.bays}
        onChange={(bays) => put({ bays, own: undefined }, "bays")}
      />
      <p className="text-[11px] text-pencil">
        On the ground a bay has what it is called: {BAY_NAMES.join(", ")}; as in “shop 3 x2, door 1.4”.
      </p>
      <Select
        labelled
        label="Bays that do not fill the wall"
        className="min-w-0 grow"
        value={front.fit ?? "stretch"}
        options={optionsOf(FIT_NAMES)}
        onChange={(fit) => spoken(() => put({ fit: fit === "stretch" ? undefined : fit }, "fit"))}
      />
      {hasShops(front) && (
        <Check
          label="Awnings over its shops"
          checked={awning !== undefined}
          onChange={(on) => spoken(() => put({ awning: on ? AWNING : undefined }, "awning"))}
        />
      )}
      {awning &&
        (["out", "drop", "over"] as const).map((key) => (
          <MeasureField
            key={key}
            measure={measure(`fronts/*/awning/${key}`)}
            value={awning[key] ?? CLEAR_UNDER}
            onChange={(to) => put({ awning: { ...awning, [key]: to } }, `awning ${key}`)}
          />
        ))}
      <MeasureField
        measure={measure("fronts/*/ends")}
        value={front.ends ?? 0.4}
        onChange={(ends) => put({ ends }, "ends")}
      />
      {storeysOf(building) > 1 && (
        <MeasureField
          measure={measure("groundFloor")}
          value={building.groundFloor ?? building.height / storeysOf(building)}
          onChange={(groundFloor) => change(requireValid({ ...building, groundFloor }), "groundFloor")}
        />
      )}
    </>
  );
}
