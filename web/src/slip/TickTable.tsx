import { inInches, type System } from "@zanvo/core/units";
import type { OffPageAids } from "@zanvo/core/vanishing";
import { useUnits } from "../units";

const height = (value: number | null, system: System): string =>
  value === null ? "–" : system === "metric" ? value.toFixed(1) : inInches(value);

/** Ticks on both edges by their number, with the tilt of each line. */
export function TickTable({ aids: { side, ticks } }: { readonly aids: OffPageAids }) {
  const system = useUnits((units) => units.system);
  return (
    <table className="measure mt-1 w-full text-right text-[11px]">
      <thead>
        <tr className="border-b border-[#26251f]">
          <th scope="col">tick</th>
          <th scope="col">{side} edge</th>
          <th scope="col">opposite</th>
          <th scope="col">tilt</th>
        </tr>
      </thead>
      <tbody>
        {ticks.map(({ number, near, far, tilt }) => (
          <tr key={number} className="border-b border-[#e6e2d4]">
            <td>{number}</td>
            <td>{height(near, system)}</td>
            <td>{height(far, system)}</td>
            <td>{tilt.toFixed(2)}°</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
