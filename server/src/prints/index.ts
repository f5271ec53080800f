export { Prints, type Print, type PrintLimits } from "./prints";
