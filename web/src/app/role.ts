import { useQuery } from "@tanstack/react-query";
import type { Role } from "../api/types";
import { meQuery } from "./queries";

export const roleNames: Record<Role, string> = {
  DIRECTOR: "Director",
  ASSISTANT: "Assistant",
  SECTION_COACH: "Section coach",
  SUBSTITUTE_TEACHER: "Substitute teacher",
};

/** Directors and assistants: they order, edit the library and look at everybody. The server asks the same of each request. */
export const seesEverybody = (role: Role | undefined) => role === "DIRECTOR" || role === "ASSISTANT";

/** Whether who is signed in directs the programme. */
export function useDirects(): boolean {
  const me = useQuery(meQuery);
  return me.data?.role === "DIRECTOR";
}

/** Whether who is signed in sees everybody; a coach and a substitute teacher see their own. */
export function useSeesEverybody(): boolean {
  const me = useQuery(meQuery);
  return seesEverybody(me.data?.role);
}
