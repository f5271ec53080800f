import { lazy, type ComponentProps, type ComponentType } from "react";

/** What is to be forgotten before what could not be fetched is tried again. */
const failed = new Set<() => void>();

/** Lets everything that could not be fetched be fetched again. */
export function forgetFailures(): void {
  for (const forget of failed) forget();
  failed.clear();
}

/** A component whose code is fetched when it is first shown; where that failed, again once failures are forgotten. */
export function lazily<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const fresh = () => lazy(async () => {
    try {
      return { default: await load() };
    } catch (error) {
      failed.add(() => { Loaded = fresh(); });
      throw error;
    }
  });
  let Loaded = fresh();
  return function Lazily(props: P) {
    return <Loaded {...(props as ComponentProps<typeof Loaded>)} />;
  };
}
