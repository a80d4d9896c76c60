import { useQuery } from "@tanstack/react-query";
import { sectionFaultsQuery } from "../roster/roster.queries";

const SHOWN = 3;

/** What goes wrong in this class most often this year, for whoever watches. */
export function OftenHere({ classId }: { classId: string }) {
  const faults = useQuery(sectionFaultsQuery({ classId }));
  if (!faults.data || faults.data.length === 0) return null;
  return (
    <p>
      Often here:{" "}
      <b>
        {faults.data
          .slice(0, SHOWN)
          .map((fault) => fault.sign.toLowerCase())
          .join(", ")}
      </b>
    </p>
  );
}
