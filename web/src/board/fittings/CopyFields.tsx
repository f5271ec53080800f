import { frontOn, isBuilding, type Building, type Front } from "@zanvo/core/world";
import { replaceMany } from "../../document/elements";
import { Button, Fold } from "../../ui";
import { useBoard } from "../useBoard";
import { allSides, onWalls, type ChangeBuilding } from "./change";
import { useSpoken } from "../../stores";

/** Puts the front that was copied on a wall; nothing where none was. */
export function CopiedFront({ building, side, change }: { building: Building; side: number; change: ChangeBuilding }) {
  const board = useBoard();
  const spoken = useSpoken();
  const copied = board.useFittings((fittings) => fittings.copied);
  if (!copied || copied === frontOn(building, side)) return null;
  return (
    <Button
      className="w-full"
      onClick={() =>
        spoken(() => {
          const fitted = onWalls(building, [side], () => copied);
          change(fitted, "front");
        })
      }
    >
      Put the copied front here
    </Button>
  );
}

/** Where else a front is put: on all walls of its building, on those of its row, or wherever it is wanted. */
export function Copying({ building, front, change }: { building: Building; front: Front; change: ChangeBuilding }) {
  const board = useBoard();
  const spoken = useSpoken();
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
          spoken(() => {
            const whole = onWalls(building, allSides(building), () => front);
            change(whole, "fronts");
          })
        }
      >
        On all its walls
      </Button>
      {row.length > 1 && (
        <Button className="w-full" onClick={() => spoken(putOnRow)}>
          On the {row.length} buildings of its row
        </Button>
      )}
    </Fold>
  );
}
