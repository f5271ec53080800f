import { asBuilding, frontOn, isBlock, usualFront, withoutFront, type Building, type Front } from "@zanvo/core/world";
import { replaceElement } from "../../document/elements";
import { Button, Fold } from "../../ui";
import { ChosenFields } from "../panels/ChosenFields";
import { useBoard } from "../useBoard";
import { BayFields } from "./BayFields";
import { allSides, onWalls, type ChangeBuilding } from "./change";
import { CopiedFront, Copying } from "./CopyFields";
import type { FittingsState } from "./createFittings";
import { DressFields } from "./DressFields";
import { KitFields } from "../../kits/KitFields";
import { FrontKit } from "./FrontKit";
import { isThing } from "./isThing";
import { KitsToPut } from "./KitsToPut";
import { Elevation } from "./Elevation";
import { DoorFields, WindowFields } from "./LookFields";
import { RoomFields } from "./RoomFields";
import { RuleFields } from "./RuleFields";
import { THINGS } from "./things";
import { ThingChoice } from "./things/ThingChoice";
import { useSpoken } from "../../stores";
import { useWall, type Wall } from "./useWall";

/** A wall without a front: one press gives it one by its size. */
function NoFront({ building, side, change }: { building: Building; side: number; change: ChangeBuilding }) {
  const spoken = useSpoken();
  const put = (sides: readonly number[]) =>
    spoken(() => {
      const fitted = onWalls(building, sides, (at) => usualFront(building, at, at === side));
      change(fitted, "fronts");
    });
  return (
    <div className="space-y-1.5">
      <p className="text-pencil">This wall has no front of its own.</p>
      <Button primary className="w-full" onClick={() => put([side])}>
        A front by its size
      </Button>
      <Button className="w-full" onClick={() => put(allSides(building))}>
        Fronts on all its walls
      </Button>
      <CopiedFront building={building} side={side} change={change} />
    </div>
  );
}

/** All of a wall that has a front. */
function FrontTools({ building, side, front, bay, change }: FrontToolsProps) {
  return (
    <>
      {bay && <BayFields building={building} side={side} bay={bay} change={change} />}
      <RuleFields building={building} side={side} front={front} change={change} />
      <Fold title="Its windows">
        <WindowFields building={building} side={side} change={change} />
      </Fold>
      <Fold title="Its doors">
        <DoorFields building={building} side={side} change={change} />
      </Fold>
      <Copying building={building} front={front} change={change} />
      <CopiedFront building={building} side={side} change={change} />
      <FrontKit building={building} front={front} />
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
  readonly change: ChangeBuilding;
}

function WallTools({ wall: { element, building, side } }: { readonly wall: Wall }) {
  const board = useBoard();
  const bay = board.useFittings((fittings) => fittings.bay);
  const change: ChangeBuilding = (next, what) => board.edit(replaceElement(next), `${what} ${next.id}`);
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
      <Fold title="Its rooms">
        <RoomFields building={building} change={change} />
      </Fold>
      <KitFields things={[building]} />
    </section>
  );
}

/** Fronts of walls, pressed in the picture and laid out beside it. */
export function FittingsPanel() {
  const wall = useWall();
  const { useChosen, useMany } = useBoard();
  const many = useMany();
  const chosen = useChosen();
  const thing = chosen && isThing(chosen) ? chosen : null;
  return (
    <div className="space-y-2">
      <Fold title="Put where you press">
        <ThingChoice things={THINGS} />
      </Fold>
      <Fold title="Kits">
        <KitsToPut />
      </Fold>
      <p className="text-pencil">
        {wall
          ? "Press another wall, or a bay of this one; drag what is in a bay. Alt: not in steps of 0.05 m."
          : "Press a wall of a building: it opens flat here, to scale."}
      </p>
      {thing && !wall && <ChosenFields element={thing} />}
      {many.length > 1 && !wall && <KitFields key={many[0].id} things={many} open />}
      {wall && <WallTools wall={wall} />}
    </div>
  );
}
