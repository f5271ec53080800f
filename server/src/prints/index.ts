export { Busy, Prints, type Print } from "./prints";
