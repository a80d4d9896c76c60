import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { TestResults } from "../../api/types";
import { Cell } from "../../ui/Field";
import { Button } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

type Apart = TestResults["toAgree"][number];

/** Two scores of one playing that lie far apart: both side by side, and the points the listeners agree on. */
export function ToAgree({ told }: { told: TestResults }) {
  if (told.toAgree.length === 0) return null;
  return (
    <section aria-label="To be talked over">
      <h2 className="mb-1 text-[1.2rem]">To be talked over</h2>
      <ul className="grid gap-2">
        {told.toAgree.map((one) => (
          <Talk key={one.studentId} one={one} told={told} />
        ))}
      </ul>
      <p className="small soft mt-1">
        What you agree on stands in place of both; what each gave stays in the history and in the agreement.
      </p>
    </section>
  );
}

function Talk({ one, told }: { one: Apart; told: TestResults }) {
  const [points, setPoints] = useState<string[]>(one.proposed.map(String));
  const client = useQueryClient();
  const toast = useToast();
  const agree = useMutation({
    mutationFn: async () => {
      for (const score of one.scores) {
        await post<void>(at("/api/attempts/{attemptId}/correction", { attemptId: score.attemptId }), {
          id: newId(),
          outcome: "PASS",
          marks: told.criteria.map(({ ordinal }, i) => ({ ordinal, points: Number(points[i]) })),
          reason: "Agreed on by both listeners",
        });
      }
    },
    onSuccess: async () => {
      toast(`${one.name}: agreed`);
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  const right = points.every((text, i) => /^\d$/.test(text) && Number(text) <= (told.criteria[i]?.top ?? 0));
  return (
    <li className="hairline rounded-[10px] border-[1.5px] px-3 py-2">
      <p>
        <b>{one.name}</b>{" "}
        <span className="small soft">
          {[
            one.apart.map((name) => name.toLowerCase()).join(", "),
            one.passDiffers ? "one passes, one does not" : "",
          ]
            .filter(Boolean)
            .join("; ")}
        </span>
      </p>
      <table className="w-full">
        <tbody>
          {one.scores.map((score) => (
            <tr key={score.attemptId}>
              <th scope="row" className="pr-2 text-left font-normal">
                {score.listener}
              </th>
              {score.marks.map((mark, i) => (
                <td key={i} className="w-12 text-center tabular-nums">
                  {mark}
                </td>
              ))}
              <td className="small soft pl-2">{score.passes ? "passes" : "not yet"}</td>
            </tr>
          ))}
          <tr>
            <th scope="row" className="pr-2 text-left font-semibold">
              Agreed
            </th>
            {told.criteria.map((criterion, i) => (
              <td key={criterion.ordinal} className="text-center">
                <Cell
                  aria-label={`Agreed points of ${one.name} for ${criterion.name}`}
                  inputMode="numeric"
                  className="!w-11 text-center"
                  value={points[i] ?? ""}
                  onChange={(event) => {
                    const text = event.target.value;
                    setPoints((all) => all.map((other, j) => (j === i ? text : other)));
                  }}
                />
              </td>
            ))}
            <td className="pl-2">
              <Button small disabled={!right || agree.isPending} onClick={() => agree.mutate()}>
                Agree
              </Button>
            </td>
          </tr>
        </tbody>
      </table>
      {agree.isError && (
        <p role="alert" className="text-error small font-semibold">
          {agree.error.message}
        </p>
      )}
    </li>
  );
}
