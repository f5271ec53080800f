import type { Card } from "@zanvo/core/answers";
import { useState } from "react";
import type { Kit } from "@zanvo/core/scene";
import { KitCards } from "../kits/KitCards";
import { fetchKit } from "../kits/shelfOfKits";
import { useWork } from "../ui";
import { kitTool } from "./kitTool";
import { CHOOSE, type PlanTool } from "./tools";
import { useStores } from "../stores";

interface KitsToLayProps {
  readonly tool: PlanTool;
  readonly onTool: (tool: PlanTool) => void;
}

/** The kits, of which one is taken up to be laid on the plan. */
export function KitsToLay({ tool, onTool }: KitsToLayProps) {
  const { say } = useStores();
  const work = useWork("Taking up the kit");
  const [taken, setTaken] = useState<{ readonly kit: Kit; readonly tool: PlanTool } | null>(null);
  const inHand = taken?.tool === tool ? taken.kit : null;
  const take = ({ id }: Card) => {
    if (id === inHand?.id) return onTool(CHOOSE);
    void work.run(async () => {
      const kit = await fetchKit(id);
      if (kit.of === "front") return say("A front is put on a wall: press one in the picture, in Fittings.");
      const next = kitTool(kit);
      setTaken({ kit, tool: next });
      onTool(next);
    });
  };
  return <KitCards taken={inHand?.id ?? null} onTake={take} />;
}
