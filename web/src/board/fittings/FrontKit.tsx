import { Package } from "lucide-react";
import { frontOfKit, kitOfFront } from "@zanvo/core/kits";
import { isBuilding, requireValid, withFront, type Building, type Front } from "@zanvo/core/world";
import { replaceElement } from "../../document/elements";
import { keepFront } from "../../kits/keep";
import { KitTools } from "../../kits/KitTools";
import { Button, Fold, useWork } from "../../ui";
import { useSpoken } from "../../stores";
import { useBoard } from "../useBoard";

/** The kit that the front of a wall is of, or may be kept as. */
function Kit({ building, front }: { readonly building: Building; readonly front: Front }) {
  const board = useBoard();
  const spoken = useSpoken();
  const work = useWork("Keeping the kit");
  const kit = board.useDocument(({ scene }) => scene.kits?.find(({ id }) => id === front.kit));
  const elements = board.useDocument(({ scene }) => scene.elements);
  if (!kit)
    return (
      <Button
        className="w-full"
        disabled={work.busy}
        onClick={() => void work.run(() => keepFront(board, building, front))}
      >
        <Package size={14} aria-hidden />
        Keep this front as a kit
      </Button>
    );
  const walls = elements.filter(isBuilding).flatMap(({ fronts = [] }) => fronts.filter((one) => one.kit === kit.id));
  const change = (next: Front) => board.edit(replaceElement(requireValid(withFront(building, next))));
  const { kit: _, ...own } = front;
  return (
    <KitTools
      kit={kit}
      count={walls.length}
      one="The front"
      now={() => ({ ...kit, elements: kitOfFront(building, front, kit.name).elements })}
      again={() => {
        const usual = frontOfKit(kit);
        if (usual) spoken(() => change({ ...usual, side: front.side, kit: kit.id }));
      }}
      release={() => change(own)}
    />
  );
}

/** The front of a wall as a kit, folded away. */
export function FrontKit(props: { readonly building: Building; readonly front: Front }) {
  return (
    <Fold title="This front as a kit">
      <Kit {...props} />
    </Fold>
  );
}
