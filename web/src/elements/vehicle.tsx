import { CarFront } from "lucide-react";
import {
  groundOfVehicle,
  newVehicle,
  requireValid,
  runsOnRails,
  standsOfVehicles,
  VEHICLES,
  type Vehicle,
  type VehicleThing,
} from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Check, Select } from "../ui";
import { CurveFields } from "./CurveFields";
import { Measures } from "./Measures";
import { INK, points, type Change, type ElementView } from "./view";

const CHOICES = (Object.keys(VEHICLES) as VehicleThing[]).map((thing) => [thing, VEHICLES[thing].label] as const);

/** What a vehicle is, its measures, and how several stand along a line. */
function VehicleFields({ element, change }: { readonly element: Vehicle; readonly change: Change }) {
  const spoken = useSpoken();
  const set = (part: Partial<Vehicle>, what: string) =>
    spoken(() => change(requireValid({ ...element, ...part }), what));
  const { thing, path, heading, open = false, cars = 1 } = element;
  return (
    <>
      <Select
        labelled
        label="Is a"
        className="min-w-0 grow"
        value={thing}
        options={CHOICES}
        onChange={(to) => set({ ...newVehicle(to, path, heading), cars: undefined }, "thing")}
      />
      <Measures element={element} of={["length", "width", "height"]} change={change} />
      {runsOnRails(thing) && <Measures element={{ ...element, cars }} of={["cars"]} change={change} />}
      {path.length > 1 ? (
        <>
          <Measures element={element} of={["every"]} change={change} />
          <CurveFields element={element} change={change} />
        </>
      ) : (
        <Measures element={element} of={["heading"]} change={change} />
      )}
      {thing !== "bicycle" && thing !== "handcart" && (
        <Check label="Front doors open" checked={open} onChange={(on) => set({ open: on || undefined }, "open")} />
      )}
    </>
  );
}

export const vehicle: ElementView<Vehicle> = {
  kind: "vehicle",
  look: { fill: INK, fillOpacity: 0.2, order: 6 },
  tools: [
    {
      id: "vehicle",
      label: "Vehicles",
      icon: <CarFront size={14} aria-hidden />,
      hint: "Press for each bend of a row of parked cars; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => newVehicle("car", points(places)),
    },
  ],
  Fields: VehicleFields,
  // Each by its own ground.
  marks: (element) =>
    standsOfVehicles(element).flatMap((stood) => {
      const corners = groundOfVehicle(stood, element);
      return corners.map((p, i) => [p, corners[(i + 1) % corners.length]] as const);
    }),
};
