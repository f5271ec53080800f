import { measureOf } from "@zanvo/core/fields";
import { orNothing, toldBy } from "@zanvo/core/problem";
import { partsOf } from "@zanvo/core/rhythm";
import {
  asBuilding,
  BAY_NAMES,
  CLEAR_UNDER,
  frontOn,
  isBlock,
  isBuilding,
  kindOf,
  requireValid,
  storeysOf,
  usualFront,
  wallLengths,
  withFront,
  withoutFront,
  type Building,
  type Front,
} from "@zanvo/core/world";
import { replaceElement, replaceMany } from "../../document/elements";
import { Button, Check, Fold, MeasureField, TextField } from "../../ui";
import { useBoard, type Board } from "../useBoard";
import { BayFields } from "./BayFields";
import type { FittingsState } from "./createFittings";
import { DressFields } from "./DressFields";
import { Elevation } from "./Elevation";
import { LookFields } from "./LookFields";
import { useWall, type Wall } from "./useWall";

type Change = (building: Building, what: string) => void;

/** Does something, and says why it cannot be done where it cannot. */
const spoken = (board: Board, act: () => void): void => {
  try {
    act();
  } catch (wrong) {
    board.say(toldBy(wrong));
  }
};

/** A building with a front on several of its walls. @throws Error with why it cannot stand so */
const onWalls = (building: Building, sides: readonly number[], front: (side: number) => Front): Building =>
  requireValid(sides.reduce((one, side) => withFront(one, { ...front(side), side }), building));

const allSides = (building: Building) => wallLengths(building).map((_, side) => side);

/** Puts the front that was copied on a wall; nothing where none was. */
function CopiedFront({ building, side, change }: { building: Building; side: number; change: Change }) {
  const board = useBoard();
  const copied = board.useFittings((fittings) => fittings.copied);
  if (!copied || copied === frontOn(building, side)) return null;
  return (
    <Button
      className="w-full"
      onClick={() =>
        spoken(board, () =>
          change(
            onWalls(building, [side], () => copied),
            "front",
          ),
        )
      }
    >
      Put the copied front here
    </Button>
  );
}

/** A wall without a front: one press gives it one by its size. */
function NoFront({ building, side, change }: { building: Building; side: number; change: Change }) {
  const board = useBoard();
  return (
    <div className="space-y-1.5">
      <p className="text-pencil">This wall has no front of its own.</p>
      <Button
        primary
        className="w-full"
        onClick={() =>
          spoken(board, () =>
            change(
              onWalls(building, [side], (at) => usualFront(building, at)),
              "front",
            ),
          )
        }
      >
        A front by its size
      </Button>
      <Button
        className="w-full"
        onClick={() =>
          spoken(board, () =>
            change(
              onWalls(building, allSides(building), (at) => usualFront(building, at, at === side)),
              "fronts",
            ),
          )
        }
      >
        Fronts on all its walls
      </Button>
      <CopiedFront building={building} side={side} change={change} />
    </div>
  );
}

/** An awning as it is at first, m. */
const AWNING = { out: 1.2, drop: 0.5 } as const;

/** Whether any bay of a front is a shop. */
function hasShops({ bays }: Front): boolean {
  return orNothing(() => partsOf(bays)).some(({ name }) => name === "shop");
}

/** The rule of a front: its bays, its ends, and the ground floor of the building. */
function RuleFields({
  building,
  side,
  front,
  change,
}: {
  building: Building;
  side: number;
  front: Front;
  change: Change;
}) {
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
      {hasShops(front) && (
        <Check
          label="Awnings over its shops"
          checked={awning !== undefined}
          onChange={(on) => put({ awning: on ? AWNING : undefined }, "awning")}
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

/** Where else a front is put: on all walls of its building, on those of its row, or wherever it is wanted. */
function Copying({ building, front, change }: { building: Building; front: Front; change: Change }) {
  const board = useBoard();
  const elements = board.useDocument(({ scene }) => scene.elements);
  const row = elements.filter(isBuilding).filter((one) => one.row !== undefined && one.row === building.row);
  const putOnRow = () => {
    const fitted = row.filter(({ locked }) => !locked).map((one) => onWalls(one, [front.side], () => front));
    board.edit(replaceMany(fitted.map((one) => (one.row ? { ...one, kept: true } : one))));
  };
  return (
    <Fold title="Copy this front">
      <Button className="w-full" onClick={() => board.fit({ copied: front })}>
        Copy it, for a wall that is pressed next
      </Button>
      <Button
        className="w-full"
        onClick={() =>
          spoken(board, () =>
            change(
              onWalls(building, allSides(building), () => front),
              "fronts",
            ),
          )
        }
      >
        On all its walls
      </Button>
      {row.length > 1 && (
        <Button className="w-full" onClick={() => spoken(board, putOnRow)}>
          On the {row.length} buildings of its row
        </Button>
      )}
    </Fold>
  );
}

/** All of a wall that has a front. */
function FrontTools({ building, side, front, bay, change }: FrontToolsProps) {
  return (
    <>
      {bay && <BayFields building={building} side={side} bay={bay} change={change} />}
      <RuleFields building={building} side={side} front={front} change={change} />
      <Fold title="Its windows">
        <LookFields building={building} side={side} change={change} />
      </Fold>
      <Copying building={building} front={front} change={change} />
      <CopiedFront building={building} side={side} change={change} />
      <Button className="w-full" onClick={() => change(withoutFront(building, side), "front")}>
        Take the front away
      </Button>
    </>
  );
}

interface FrontToolsProps {
  readonly building: Building;
  readonly side: number;
  readonly front: Front;
  readonly bay: FittingsState["bay"];
  readonly change: Change;
}

function WallTools({ wall: { element, building, side } }: { readonly wall: Wall }) {
  const board = useBoard();
  const bay = board.useFittings((fittings) => fittings.bay);
  const change: Change = (next, what) => board.edit(replaceElement(next), `${what} ${next.id}`);
  if (!building)
    return (
      <div className="space-y-1.5">
        <p>{element.name} is a plain block.</p>
        <Button
          primary
          className="w-full"
          onClick={() => isBlock(element) && board.edit(replaceElement(asBuilding(element)))}
        >
          Make it a building
        </Button>
      </div>
    );
  const front = frontOn(building, side);
  return (
    <section aria-label={`Wall ${side + 1} of ${building.name}`} className="space-y-2">
      <p className="font-medium">
        {building.name || "Nameless"}, wall {side + 1}
      </p>
      <Elevation building={building} side={side} />
      {front ? (
        <FrontTools building={building} side={side} front={front} bay={bay} change={change} />
      ) : (
        <NoFront building={building} side={side} change={change} />
      )}
      <Fold title="All its walls">
        <DressFields building={building} change={change} />
      </Fold>
    </section>
  );
}

/** Fronts of walls, pressed in the picture and laid out beside it. */
export function FittingsPanel() {
  const wall = useWall();
  return (
    <div className="space-y-2">
      <p className="text-pencil">
        {wall
          ? "Press another wall, or a bay of this one; drag what is in a bay. Alt: not in steps of 0.05 m."
          : "Press a wall of a building: it opens flat here, to scale."}
      </p>
      {wall && <WallTools wall={wall} />}
    </div>
  );
}
