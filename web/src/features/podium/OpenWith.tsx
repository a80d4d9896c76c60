import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { warmUpQuery } from "../warmup/warmUp.queries";
import { minutesWords } from "../warmup/warmUp";

const MINUTES = 8;

/** What the class opens with, in one line. */
export function OpenWith({ classId, week, search }: { classId: string; week?: string; search: string }) {
  const plan = useQuery({ ...warmUpQuery(classId, week, MINUTES), staleTime: 5 * 60_000 });
  return (
    <Link to={{ pathname: "/podium/warm-up", search }}>
      Warm-up{plan.data && `, ${minutesWords(plan.data.minutes)}`}
    </Link>
  );
}
