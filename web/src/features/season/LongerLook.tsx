import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { at } from "../../api/at";
import { post } from "../../api/http";
import { Button } from "../../ui/parts";
import { longLookQuery, proposalsQuery } from "./plan.queries";

const points = new Intl.NumberFormat("en-GB");
const ends = {
  PROPOSED: "The longer look is done.",
  CHANGED: "The plan was changed meanwhile; look again.",
  FAILED: "The longer look was cut off; start it again.",
};

/** Looking longer for a better plan: how far it is, and stopping with the best so far. */
export function LongerLook({ classId }: { classId: string }) {
  const client = useQueryClient();
  const [lookId, setLookId] = useState<string>();
  const start = useMutation({
    mutationFn: () => post<{ id: string }>(at("/api/season/plan/looks"), { classId }),
    onSuccess: ({ id }) => setLookId(id),
  });
  const look = useQuery(longLookQuery(lookId));
  const stop = useMutation({
    mutationFn: () => post(at("/api/season/plan/looks/{lookId}/stop", { lookId }), {}),
  });
  const ended = look.data?.endedAs;
  useEffect(() => {
    if (ended) void client.invalidateQueries({ queryKey: proposalsQuery(classId).queryKey });
  }, [ended, client, classId]);
  const looking = lookId !== undefined && !ended;
  const percent = look.data?.steps ? Math.round((100 * look.data.done) / look.data.steps) : 0;
  const error = start.error ?? look.error ?? stop.error;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      {!looking && (
        <Button small disabled={start.isPending} onClick={() => start.mutate()}>
          Look longer
        </Button>
      )}
      {looking && (
        <>
          <progress className="h-2 w-44" max={100} value={percent} aria-label="The longer look" />
          <span className="small">
            {percent} %
            {look.data?.points !== undefined && `, best so far ${points.format(look.data.points)} points`}
          </span>
          <Button small disabled={stop.isPending || stop.isSuccess} onClick={() => stop.mutate()}>
            Stop with the best so far
          </Button>
        </>
      )}
      {ended && (
        <span className="small" role="status">
          {ends[ended]}
        </span>
      )}
      {error && (
        <span role="alert" className="text-error">
          {error.message}
        </span>
      )}
    </div>
  );
}
