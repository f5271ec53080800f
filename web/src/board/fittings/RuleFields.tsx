import { measureOf } from "@zanvo/core/fields";
import { orNothing } from "@zanvo/core/problem";
import { partsOf } from "@zanvo/core/rhythm";
import {
  BAY_NAMES,
  CLEAR_UNDER,
  floorsOf,
  kindOf,
  requireValid,
  storeysOf,
  withFront,
  withStorey,
  type Building,
  type Front,
} from "@zanvo/core/world";
import { Button, Check, Fold, MeasureField, optionsOf, Select, TextField } from "../../ui";
import { FIT_NAMES } from "../draw/names";
import type { ChangeBuilding } from "./change";
import { useSpoken } from "../../stores";

/** An awning as it is at first, m. */
const AWNING = { out: 1.2, drop: 0.5 } as const;

/** Whether any bay of a front is a shop. */
function hasShops({ bays }: Front): boolean {
  return orNothing(() => partsOf(bays)).some(({ name }) => name === "shop");
}

/** The heights of all storeys, the topmost first: each keeps its own, and the eaves rise or fall. */
function StoreyFields({ building, change }: { readonly building: Building; readonly change: ChangeBuilding }) {
  const measure = measureOf(kindOf(building).schema, "storeyHeights/*");
  const { groundFloor, storeyHeights } = building;
  const all = floorsOf(building, building.height, true);
  return (
    <>
      {all
        .map(({ height }, storey) => (
          <MeasureField
            key={storey}
            measure={{ ...measure, label: storey === 0 ? "Storey 1, on the ground" : `Storey ${storey + 1}` }}
            value={height}
            onChange={(to) => change(requireValid(withStorey(building, storey, to)), `storey ${storey}`)}
          />
        ))
        .reverse()}
      {(groundFloor ?? storeyHeights) && (
        <Button
          className="w-full"
          onClick={() => change({ ...building, groundFloor: undefined, storeyHeights: undefined }, "storeys")}
        >
          All storeys alike
        </Button>
      )}
    </>
  );
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
          value={floorsOf(building, building.height, true)[0].height}
          onChange={(groundFloor) =>
            change(requireValid({ ...building, groundFloor, storeyHeights: undefined }), "groundFloor")
          }
        />
      )}
      {storeysOf(building) > 1 && (
        <Fold title="Each storey by itself">
          <StoreyFields building={building} change={change} />
        </Fold>
      )}
    </>
  );
}
