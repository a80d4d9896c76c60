import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { TestResults, Training } from "../../api/types";
import { addDays, shortDay } from "../../app/days";
import { useScope } from "../../app/scope";
import { Band, Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { newOrders } from "../season/orderForm";
import { weakestWords } from "./resultWords";
import { trainingQuery } from "./results.queries";

const WEEK = 4;

/** What a section is weakest in, and the check that trains it, ordered for a week that has its minutes by one press. */
export function Trains({ told }: { told: TestResults }) {
  const { scope } = useScope();
  const training = useQuery(trainingQuery(told.milestoneId, told.weakest, scope));
  const words = weakestWords(told);
  if (!words) return null;
  const check = training.data?.[0];
  return (
    <Band label="Weakest">
      <span>
        <b>{words}</b>
        {check && (
          <span className="block">
            {check.title} trains it: {check.minutes} min for the section, {check.passed} of {check.students}{" "}
            have it.
          </span>
        )}
        {training.data?.length === 0 && (
          <span className="soft block">No check on the shelf trains it for this section.</span>
        )}
      </span>
      {check && <OrderIt check={check} />}
    </Band>
  );
}

function OrderIt({ check }: { check: Training }) {
  const { scope } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const { monday } = check;
  const order = useMutation({
    mutationFn: (day: string) =>
      post<void>(
        at("/api/season/orders"),
        newOrders(
          [check.milestoneId],
          [{ classId: scope.classId, instrument: scope.instrument }],
          { setOn: day, dueOn: addDays(day, WEEK), substituteAccepted: false, partnerCheckPasses: false },
          newId,
        ),
      ),
    onSuccess: async (_, day) => {
      toast(`Ordered for the week of ${shortDay(day)}`);
      await client.invalidateQueries({ queryKey: ["progress"] });
      await client.invalidateQueries({ queryKey: ["season"] });
    },
  });
  if (!monday) return <span className="soft">No week ahead has that many minutes left.</span>;
  return (
    <>
      <Button small disabled={order.isPending || order.isSuccess} onClick={() => order.mutate(monday)}>
        {order.isSuccess ? "Ordered" : `Order it for ${shortDay(monday)}`}
      </Button>
      {order.isError && <span className="text-error font-semibold">{order.error.message}</span>}
    </>
  );
}
