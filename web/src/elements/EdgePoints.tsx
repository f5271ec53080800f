import type { Vec3 } from "@zanvo/core/geometry";
import { viewOf } from "@zanvo/core/shot";
import { fromEdge, vanishingPoint } from "@zanvo/core/vanishing";
import { useStores } from "../stores";

interface EdgePointsProps {
  readonly label: string;
  /** What runs each way, and the way, in the world. */
  readonly ways: readonly (readonly [name: string, way: Vec3])[];
}

/** Where edges with ways of their own run to in the shot that is drawn. */
export function EdgePoints({ label, ways }: EdgePointsProps) {
  const { useShot, useMeasures } = useStores();
  const shot = useShot();
  const measures = useMeasures();
  const view = viewOf(shot);
  return (
    <dl aria-label={label}>
      {ways.map(([name, way]) => {
        const { at } = vanishingPoint(view, way);
        return (
          <div key={name} className="py-0.5">
            <dt className="text-pencil">{name} runs to</dt>
            <dd className="measure">{at ? measures(fromEdge(shot.sheet, ...at)) : "no point: drawn parallel"}</dd>
          </div>
        );
      })}
    </dl>
  );
}
