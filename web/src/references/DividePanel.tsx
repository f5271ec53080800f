import type { Reference } from "@zanvo/core/scene";
import { DivisionFields } from "../dividing/DivisionFields";
import { EllipseFields } from "../dividing/EllipseFields";
import { useStores } from "../stores";
import { Button, Fold } from "../ui";
import { ListedHead } from "./ListedHead";
import { changeQuad, QUADS, removeQuad, type Tracing } from "./tracing";

interface DividePanelProps {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}

/** Quadrilaterals of the picture that are taken for rectangles of the world: divided, and repeated. */
export function DividePanel({ reference, tracing: { set, edge }, onTracing }: DividePanelProps) {
  const stores = useStores();
  const taken = set === QUADS;
  return (
    <Fold title="Divide">
      <Button className="w-full" on={taken} onClick={() => onTracing({ set: QUADS, edge: null })}>
        Press four corners
      </Button>
      {taken && (
        <p className="text-pencil">
          Press the corners of what is a rectangle in the world, in their order around: columns run along from corner 1
          to corner 2. Corners stay draggable.
        </p>
      )}
      {(reference.quads ?? []).map((quad, at) => {
        const name = `Division ${at + 1}`;
        const chosen = taken && edge === at;
        return (
          <section
            key={quad.id}
            aria-label={name}
            className={`space-y-1 rounded border p-1.5 ${chosen ? "border-accent" : "border-hair"}`}
          >
            <ListedHead
              name={name}
              chosen={chosen}
              onChoose={() => onTracing({ set: QUADS, edge: at })}
              onDelete={() => {
                removeQuad(stores, reference.id, at);
                onTracing({ set: QUADS, edge: null });
              }}
            />
            {chosen && (
              <>
                <DivisionFields
                  quad={quad}
                  onChange={(next, key) =>
                    stores.edit(
                      changeQuad(reference.id, at, (one) => void Object.assign(one, next)),
                      key,
                    )
                  }
                />
                <EllipseFields quad={quad.corners} pixels />
              </>
            )}
          </section>
        );
      })}
    </Fold>
  );
}
