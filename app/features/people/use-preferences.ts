import { useRouteLoaderData } from "react-router";
import type { loader as rootLoader } from "~/app/root";
import type { Preferences } from "~/core/records";

/** What the person at this tablet prefers; nothing for nobody. */
export const usePreferences = (): Preferences =>
  useRouteLoaderData<typeof rootLoader>("root")?.person?.preferences ?? {};

/** Whose page this is; empty for nobody's. */
export const usePersonId = (): string => useRouteLoaderData<typeof rootLoader>("root")?.person?.id ?? "";
