import { seesEverybody } from "./role";
import type { Role } from "../api/types";
import { BookOpen, CalendarDays, Ear, House, Settings2, Users, type LucideIcon } from "lucide-react";

export interface Place {
  path: string;
  name: string;
  icon: LucideIcon;
}

export const places: readonly Place[] = [
  { path: "/podium", name: "Podium", icon: House },
  { path: "/season", name: "Season", icon: CalendarDays },
  { path: "/library", name: "Library", icon: BookOpen },
  { path: "/hear", name: "Hear", icon: Ear },
  { path: "/roster", name: "Roster", icon: Users },
  { path: "/office", name: "Office", icon: Settings2 },
];

const own = new Set(["/podium", "/library", "/hear", "/roster"]);

/** The places of somebody: a coach and a substitute teacher have those where they look and hear. */
export const placesOf = (role: Role | undefined): readonly Place[] =>
  seesEverybody(role) ? places : places.filter((place) => own.has(place.path));
