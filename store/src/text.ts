// What threads that only read documents need of the store: without it, they would load the database.
export { picturesNamedIn } from "./names";
export { pack } from "./packing";
