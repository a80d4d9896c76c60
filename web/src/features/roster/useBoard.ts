import { useQuery } from "@tanstack/react-query";
import { boardQuery, yearQuery } from "../../app/queries";
import { chosenDay } from "../../app/ribbon";
import { useScope } from "../../app/scope";

/** The board of the sections and week chosen; a past week shows what stood at its end. */
export function useBoard() {
  const { scope, week, allClasses } = useScope();
  const year = useQuery(yearQuery);
  const on = week && year.data ? chosenDay(year.data, week) : undefined;
  const board = useQuery(boardQuery(scope, on));
  return { board, scope, on, needsInstrument: allClasses && !scope.instrument };
}
