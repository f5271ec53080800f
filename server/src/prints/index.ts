export { Prints, type PrintLimits } from "./prints";
