import { X } from "lucide-react";
import { areaTwice, holesOf, type Building } from "@zanvo/core/world";
import { squareMetres } from "@zanvo/core/units";
import { Fold, IconButton } from "../ui";
import { useStores } from "../stores";

interface YardFieldsProps {
  readonly building: Building;
  readonly set: (part: Partial<Building>, what: string) => void;
}

/** The courtyards of a building, each with its size; they are drawn on the plan. */
export function YardFields({ building, set }: YardFieldsProps) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const { courtyards = [] } = building;
  if (courtyards.length === 0) return null;
  const left = (gone: number) => courtyards.filter((_, i) => i !== gone);
  return (
    <Fold title="Courtyards">
      <ul>
        {holesOf(building).map((yard, i) => (
          <li key={i} className="flex items-center justify-between">
            <span>
              Courtyard {i + 1}
              <span className="measure ml-2 text-pencil">
                {yard.length} corners, {measures(squareMetres(areaTwice(yard) / 2))}
              </span>
            </span>
            <IconButton
              label={`Delete courtyard ${i + 1}`}
              onClick={() => set({ courtyards: courtyards.length > 1 ? left(i) : undefined }, "courtyards")}
            >
              <X size={14} />
            </IconButton>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
