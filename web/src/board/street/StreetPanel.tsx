import { Fold } from "../../ui";
import { isThing } from "../fittings/isThing";
import { STREET_THINGS } from "../fittings/things";
import { ThingChoice } from "../fittings/things/ThingChoice";
import { ChosenFields } from "../panels/ChosenFields";
import { useBoard } from "../useBoard";
import { RulerFields } from "./RulerFields";
import { SeaFields } from "./SeaFields";

/** What makes a street inhabited: people, trees, lamps and stalls, put down where the picture is pressed. */
export function StreetPanel() {
  const { useChosen } = useBoard();
  const chosen = useChosen();
  return (
    <div className="space-y-2">
      {chosen && isThing(chosen) && <ChosenFields element={chosen} />}
      {STREET_THINGS.map((group, i) => (
        <Fold key={group[0]} title={group[0]} open={i === 0}>
          <ThingChoice things={[group]} />
        </Fold>
      ))}
      <p className="text-pencil">
        Press what stands there to choose it; drag it over the ground. Crowds, rows of trees and lamps, and parked cars
        are drawn on the plan.
      </p>
      <RulerFields />
      <SeaFields />
    </div>
  );
}
