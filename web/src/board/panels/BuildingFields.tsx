import { Plus, X } from "lucide-react";
import { wrap } from "@zanvo/core/geometry";
import { asBuilding, boxOf, centroid, cornersOf, faultOf, moved, ROOFS, slopeOf, type Block, type Building, type Element, type RoofKind } from "@zanvo/core/world";
import { Button, Check, IconButton, NumberField, say } from "../../ui";
import { edit } from "../board";
import { LEAST } from "../desk/raise";

type Change = (next: Element, what: string) => void;

/** A change that is taken over only where the building can stand. @throws Error with why it cannot */
function checked(next: Building): Building {
  const fault = faultOf(next);
  if (fault) throw new Error(`The ${fault.field.split("/")[0].replace("setbacks", "set-back")} ${fault.message}`);
  return next;
}

/** Adds the slope of a roof to the directions that run with it, so that it has points of its own; directions are added where none do. */
function addSlope(building: Building): void {
  const slope = slopeOf(building);
  if (!slope) return;
  edit((scene) => {
    const off = (heading: number) => Math.abs(wrap(slope.heading - heading, -90, 180));
    const own = scene.orientations.find(({ heading }) => Math.min(off(heading), off(heading + 90)) < 0.5);
    const orientation = own ?? { id: `o${crypto.randomUUID().slice(0, 8)}`, name: `As ${building.name}`.slice(0, 200), heading: slope.heading };
    if (!own) scene.orientations.push(orientation);
    const axis = off(orientation.heading) < 0.5 ? "along" : "across";
    orientation.slopes = [...(orientation.slopes ?? []), { id: crypto.randomUUID(), name: `Roof of ${building.name}`.slice(0, 200), axis, rise: Number(slope.rise.toFixed(3)) }];
  });
  say(`The roof’s slope of ${slope.rise.toFixed(1)}° has points of its own now: see Points.`);
}

/** The roof of a block or a building; a block that is given one becomes a building. */
export function RoofFields({ element, change }: { readonly element: Block | Building; readonly change: Change }) {
  const building = asBuilding(element);
  const { kind, rise, turned } = building.roof;
  const fits = (to: RoofKind) => faultOf({ ...building, roof: { kind: to, ...(to === "flat" ? {} : { rise: rise ?? 2.5 }) } }) === null;
  const roof = (to: Building["roof"], what: string) => change(checked({ ...building, roof: to }), what);
  return (
    <>
      <label className="flex items-center justify-between gap-2">
        <span className="text-pencil">Roof</span>
        <select aria-label="Roof" className="h-7 rounded border border-hair bg-slip px-1" value={kind} onChange={(event) => {
          const to = event.target.value as RoofKind;
          try {
            roof({ kind: to, ...(to === "flat" ? {} : { rise: rise ?? 2.5 }) }, "roof");
          } catch (wrong) {
            say((wrong as Error).message);
          }
        }}>
          {(Object.keys(ROOFS) as RoofKind[]).map((one) => <option key={one} value={one} disabled={!fits(one)}>{ROOFS[one].name}</option>)}
        </select>
      </label>
      {kind !== "flat" && <NumberField label="Rise of the roof" unit="m" digits={2} min={LEAST} max={1000} step={0.1} value={rise ?? 2.5} onChange={(to) => roof({ kind, rise: to, turned }, "rise")} />}
      {kind === "flat" && element.kind === "building" && <Check label="Parapet" checked={rise !== undefined} onChange={(on) => { try { roof(on ? { kind, rise: 0.9 } : { kind }, "parapet"); } catch (wrong) { say((wrong as Error).message); } }} />}
      {kind === "flat" && rise !== undefined && <NumberField label="Height of the parapet" unit="m" digits={2} min={LEAST} max={50} step={0.1} value={rise} onChange={(to) => roof({ kind, rise: to }, "rise")} />}
      {ROOFS[kind].needs === "rectangle" && <Check label="Ridge across" checked={turned ?? false} onChange={(on) => roof({ kind, rise, turned: on || undefined }, "turned")} />}
      {slopeOf(building) && <Button className="w-full" onClick={() => addSlope(building)}>Give its slope points of its own</Button>}
    </>
  );
}

/** Measures of a building on any footprint: its foot, its walls, storeys, set-backs and roof, and where it stands. */
export function BuildingFields({ building, change }: { readonly building: Building; readonly change: Change }) {
  const { height, storeys, setbacks = [], chimneys = [], base, footprint } = building;
  const size = { unit: "m", digits: 2, min: LEAST, max: 10_000, step: 0.1 } as const;
  const place = { unit: "m", digits: 2, min: -1e5, max: 1e5, step: 0.1 } as const;
  const { x, y } = boxOf(building).origin;
  const tier = (at: number, what: "inset" | "height") => (value: number) => change(checked({ ...building, setbacks: setbacks.map((one, i) => (i === at ? { ...one, [what]: value } : one)) }), `set-back ${at} ${what}`);
  const stack = (at: number, what: "x" | "y" | "side" | "rise") => (value: number) => change({ ...building, chimneys: chimneys.map((one, i) => (i === at ? { ...one, [what]: value } : one)) }, `chimney ${at} ${what}`);
  const smoke = () => {
    const [cx, cy] = centroid(cornersOf(building));
    change({ ...building, chimneys: [...chimneys, { x: Number(cx.toFixed(2)), y: Number((cy + 1).toFixed(2)), side: 0.9, rise: (building.roof.rise ?? 0) + 1.2 }] }, "chimneys");
  };
  const add = () => {
    try {
      change(checked({ ...building, setbacks: [...setbacks, { inset: 1.5, height: 4 }] }), "set-backs");
    } catch (wrong) {
      say((wrong as Error).message);
    }
  };
  return (
    <>
      <p className="measure text-pencil">{footprint.length} corners on the plan</p>
      <NumberField label="Height to the eaves" {...size} value={height} onChange={(to) => change({ ...building, height: to }, "height")} />
      <NumberField label="Storeys" unit="" digits={0} min={1} max={300} step={1} value={storeys ?? Math.max(1, Math.round(height / 3))} onChange={(to) => change({ ...building, storeys: Math.round(to), height: (height / (storeys ?? Math.max(1, Math.round(height / 3)))) * Math.round(to) }, "storeys")} />
      <NumberField label="Foot over the ground" {...place} value={base} onChange={(to) => change({ ...building, base: to }, "base")} />
      <NumberField label="East of the origin" {...place} value={x} onChange={(to) => change(moved(building, to - x, 0), "x")} />
      <NumberField label="North of the origin" {...place} value={y} onChange={(to) => change(moved(building, 0, to - y), "y")} />
      {setbacks.map((one, i) => (
        <section key={i} aria-label={`Set-back ${i + 1}`} className="space-y-1 rounded border border-hair p-1.5">
          <div className="flex items-center justify-between"><span className="font-medium">Set-back {i + 1}</span><IconButton label={`Delete set-back ${i + 1}`} onClick={() => change({ ...building, setbacks: setbacks.filter((_, k) => k !== i) }, "set-backs")}><X size={14} /></IconButton></div>
          <NumberField label="Set back by" {...size} value={one.inset} onChange={tier(i, "inset")} />
          <NumberField label="Height" {...size} value={one.height} onChange={tier(i, "height")} />
        </section>
      ))}
      <Button className="w-full" onClick={add}><Plus size={14} aria-hidden />Set back another part</Button>
      {chimneys.map((one, i) => (
        <section key={i} aria-label={`Chimney ${i + 1}`} className="space-y-1 rounded border border-hair p-1.5">
          <div className="flex items-center justify-between"><span className="font-medium">Chimney {i + 1}</span><IconButton label={`Delete chimney ${i + 1}`} onClick={() => change({ ...building, chimneys: chimneys.filter((_, k) => k !== i) }, "chimneys")}><X size={14} /></IconButton></div>
          <NumberField label="Side" {...size} value={one.side} onChange={stack(i, "side")} />
          <NumberField label="Over the eaves" {...size} value={one.rise} onChange={stack(i, "rise")} />
          <NumberField label="East" {...place} value={one.x} onChange={stack(i, "x")} />
          <NumberField label="North" {...place} value={one.y} onChange={stack(i, "y")} />
        </section>
      ))}
      <Button className="w-full" onClick={smoke}><Plus size={14} aria-hidden />A chimney</Button>
      <RoofFields element={building} change={change} />
    </>
  );
}
