import { EllipseFields } from "../../../dividing/EllipseFields";
import { DivisionFields } from "../../../dividing/DivisionFields";
import { useChange, type Of } from "./useChange";

/** Into what four corners on the sheet are divided, and how that is drawn. */
export const QuadFields = ({ line }: { readonly line: Of<"quad"> }) => (
  <>
    <DivisionFields quad={line} onChange={useChange()} />
    <EllipseFields quad={line.corners} />
  </>
);
