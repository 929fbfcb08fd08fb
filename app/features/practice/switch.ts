import { useSyncExternalStore } from "react";

const name = "harmostat simulated instruments";
const listeners = new Set<() => void>();

const isOn = (): boolean => {
  try {
    return localStorage.getItem(name) === "on";
  } catch {
    return false;
  }
};

/** Lays the simulated instruments out on this tablet, or puts them away. */
export function layOut(on: boolean): void {
  try {
    localStorage.setItem(name, on ? "on" : "off");
  } catch {
    // Where nothing can be kept they stay as they are.
  }
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

export const useSimulatedInstruments = (): boolean => useSyncExternalStore(subscribe, isOn, () => false);
