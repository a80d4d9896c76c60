import { useQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";
import { classesQuery } from "../../app/queries";
import { useScope } from "../../app/scope";

/** Other classes a run goes over as well; kept in the address, so that it can be left and come back to. */
export function useWith() {
  const [search, setSearch] = useSearchParams();
  const { scope } = useScope();
  const classes = useQuery(classesQuery);
  const chosen = search.getAll("with").filter((id) => id !== scope.classId);
  return {
    with: chosen,
    /** None where the run goes over every class already. */
    offered: scope.classId ? (classes.data ?? []).filter((c) => c.id !== scope.classId) : [],
    toggle: (classId: string) => {
      const next = new URLSearchParams(search);
      next.delete("with");
      const after = chosen.includes(classId) ? chosen.filter((id) => id !== classId) : [...chosen, classId];
      after.forEach((id) => next.append("with", id));
      setSearch(next, { replace: true });
    },
  };
}
