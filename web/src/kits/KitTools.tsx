import type { Kit } from "@zanvo/core/scene";
import { sentence } from "@zanvo/core/units";
import type { Element } from "@zanvo/core/world";
import { Button, useWork } from "../ui";
import { useStores } from "../stores";
import { changeEverywhere, takeOver } from "./changed";
import { useKits } from "./shelfOfKits";

interface KitToolsProps {
  /** The kit as this scene has it. */
  readonly kit: Kit;
  /** How many of it there are here, and what one of them is called. */
  readonly count: number;
  readonly one: string;
  /** The kit as what is chosen has become. @throws Error where that can be none */
  readonly now: () => Kit;
  /** What is chosen besides, and belongs to it from then on. */
  readonly joining?: readonly Element[];
  /** Makes what is chosen as the kit is; where nothing is said, that is one instance of it. */
  readonly again: () => void;
  /** Lets what is chosen be of no kit. */
  readonly release: () => void;
}

/** What can be done with what is of a kit: change all that are, or be as they are, or be changed alone from then on. */
export function KitTools({ kit, count, one, now, joining, again, release }: KitToolsProps) {
  const stores = useStores();
  const work = useWork("Changing the kit");
  const { useMeasures } = stores;
  const measures = useMeasures();
  const onShelf = useKits()?.find(({ id }) => id === kit.id);
  const others = count - 1;
  const told = sentence`${one} of the kit “${kit.name}”${others > 0 ? `; ${others} more here` : ""}.`;
  return (
    <>
      <p className="text-pencil">{measures(told)}</p>
      {onShelf && onShelf.revision > kit.revision && (
        <Button
          className="w-full"
          primary
          disabled={work.busy}
          onClick={() => void work.run(() => takeOver(stores, kit.id))}
        >
          Take the kit over as it is on the shelf
        </Button>
      )}
      <Button
        className="w-full"
        disabled={work.busy}
        onClick={() => void work.run(() => changeEverywhere(stores, now(), joining))}
      >
        Change the kit everywhere to be like this
      </Button>
      <Button className="w-full" onClick={again}>
        Make this as the kit is
      </Button>
      <Button className="w-full" onClick={release}>
        Change this one alone from now on
      </Button>
    </>
  );
}
