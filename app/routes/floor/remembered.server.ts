import { createCookie } from "react-router";
import { type FloorAsked, floorAddress, floorAsked, isNothing, lasting } from "./asked";

/** What a person chose on the floor last, on this browser. */
const chosenBy = (personId: string) =>
  createCookie(`floor-${personId.slice(-12)}`, { path: "/", httpOnly: true, sameSite: "lax", maxAge: 31_536_000 });

/** Where one goes who comes without asking for anything; null: nothing was chosen. */
export async function rememberedFloor(request: Request, personId: string): Promise<string | null> {
  const kept = await chosenBy(personId).parse(request.headers.get("Cookie"));
  if (typeof kept !== "string") return null;
  const asked = floorAsked(new URLSearchParams(kept));
  return isNothing(lasting(asked)) ? null : floorAddress(lasting(asked));
}

export const rememberFloor = (asked: FloorAsked, personId: string): Promise<string> =>
  chosenBy(personId).serialize(floorAddress(lasting(asked)).slice(2));
