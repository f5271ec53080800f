export * from "./Button";
export * from "./Check";
export * from "./Choice";
export * from "./Fold";
export * from "./Modal";
export * from "./NumberField";
export * from "./Strength";
export * from "./Toasts";
