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
