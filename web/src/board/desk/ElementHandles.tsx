import type { Element } from "@zanvo/core/world";
import { viewOfElement } from "../../elements";

/** The handles of an element, as its kind has them. */
export function ElementHandles({ element }: { readonly element: Element }) {
  const { Handles } = viewOfElement(element);
  return Handles && <Handles element={element} />;
}
