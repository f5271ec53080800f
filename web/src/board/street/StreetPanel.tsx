import { Fold } from "../../ui";
import { isThing } from "../fittings/isThing";
import { STREET_THINGS } from "../fittings/things";
import { ThingChoice } from "../fittings/things/ThingChoice";
import { ChosenFields } from "../panels/ChosenFields";
import { useBoard } from "../useBoard";

/** What makes a street inhabited: people, trees, lamps and stalls, put down where the picture is pressed. */
export function StreetPanel() {
  const { useChosen } = useBoard();
  const chosen = useChosen();
  return (
    <div className="space-y-2">
      <Fold title="Put where you press" open>
        <ThingChoice things={STREET_THINGS} />
      </Fold>
      <p className="text-pencil">Press what stands there to choose it; drag it over the ground.</p>
      {chosen && isThing(chosen) && <ChosenFields element={chosen} />}
    </div>
  );
}
