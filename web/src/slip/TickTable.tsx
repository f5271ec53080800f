import { tickTable } from "@zanvo/core/slip";
import type { OffPageAids } from "@zanvo/core/vanishing";
import { useStores } from "../stores";

/** Ticks on both edges by their number, with the tilt of each line. */
export function TickTable({ aids }: { readonly aids: OffPageAids }) {
  const { useUnits } = useStores();
  const system = useUnits((units) => units.system);
  const { heads, rows } = tickTable(aids, system);
  return (
    <table className="measure mt-1 w-full text-right text-[11px]">
      <thead>
        <tr className="border-b border-[#26251f]">
          {heads.map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row[0]} className="border-b border-[#e6e2d4]">
            {row.map((cell, i) => (
              <td key={heads[i]}>{cell}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
