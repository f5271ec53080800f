import type { Card } from "@zanvo/core/answers";
import { KitCards } from "../../kits/KitCards";
import { fetchKit } from "../../kits/shelfOfKits";
import { useWork } from "../../ui";
import { useBoard } from "../useBoard";
import { usePutting } from "./usePutting";

/** The kits, of which one is taken up to be put where the picture is pressed. */
export function KitsToPut() {
  const { useFittings, fit } = useBoard();
  const work = useWork("Taking up the kit");
  usePutting();
  const putting = useFittings((fittings) => fittings.putting);
  const taken = putting && "kit" in putting ? putting.kit : null;
  const take = ({ id }: Card) => {
    if (id === taken?.id) return fit({ putting: null });
    void work.run(async () => fit({ putting: { kit: await fetchKit(id) } }));
  };
  return (
    <>
      {taken && (
        <p className="text-pencil">
          {taken.name}: press {taken.of === "front" ? "the wall that gets it" : "in the picture where its front stands"}
          . Escape: no more.
        </p>
      )}
      <KitCards taken={taken?.id ?? null} onTake={take} />
    </>
  );
}
