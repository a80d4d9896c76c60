import { useQuery } from "@tanstack/react-query";
import { classesQuery, instrumentsQuery } from "./queries";
import { scopeName, useScope } from "./scope";

/** Who the screen is about, for its heading: "Trumpets", "Brass, Beginning Winds", "Beginning Winds". */
export function useScopeName(): string {
  const { scope, allClasses } = useScope();
  const classes = useQuery(classesQuery);
  const instruments = useQuery(instrumentsQuery);
  const className = allClasses
    ? "all classes"
    : (classes.data?.find((c) => c.id === scope.classId)?.name ?? "");
  const names = (instruments.data ?? []).map((i) => ({ instrument: i.code, plural: i.plural.toLowerCase() }));
  const name = scopeName(scope, names, className);
  return scope.family ? name.toLowerCase() : name;
}
