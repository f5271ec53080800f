import { lazy, type ComponentType } from "react";

/** A component whose code is fetched when it is first shown, and again after it could not be. */
export function lazily(load: () => Promise<ComponentType>): ComponentType {
  const fresh = () => lazy(async () => {
    try {
      return { default: await load() };
    } catch (error) {
      Loaded = fresh();
      throw error;
    }
  });
  let Loaded = fresh();
  return function Lazily() {
    return <Loaded />;
  };
}
