import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post } from "../../api/http";
import type { SchoolQuestion } from "../../api/types";
import { Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { schoolsQuery } from "../library/checks.queries";
import { looks } from "../../ui/looks";

/** Where practitioners disagree, the programme chooses; checks reword themselves. */
export function SchoolsPart() {
  const schools = useQuery(schoolsQuery);
  if (schools.isError) return <Failed error={schools.error} again={() => void schools.refetch()} />;
  if (!schools.data) return <Skeleton rows={10} />;
  return (
    <>
      <p className="soft mb-3 max-w-[75ch]">
        Good teachers disagree on these. The first of each is our default; what you choose rewords the checks
        and decides how lines are read.
      </p>
      <div className="grid gap-x-10 md:grid-cols-2">
        {schools.data.map((question) => (
          <Question key={question.key} question={question} />
        ))}
      </div>
    </>
  );
}

function Question({ question }: { question: SchoolQuestion }) {
  const client = useQueryClient();
  const toast = useToast();
  const [mine, setMine] = useState<string>();
  const choose = useMutation({
    mutationFn: (choice: string) =>
      post<void>(at("/api/schools/{question}", { question: question.key }), { choice }),
    onSuccess: async () => {
      toast("It holds from now on");
      await client.invalidateQueries({ queryKey: ["library"] });
    },
    onError: () => setMine(undefined),
  });
  return (
    <fieldset className="border-b border-[var(--hairline)] py-3">
      <legend className="float-left w-full pb-1 font-semibold">{question.question}</legend>
      {question.amount && (
        <Amount question={question} busy={choose.isPending} onChoose={(amount) => choose.mutate(amount)} />
      )}
      <div className="clear-both grid gap-1">
        {question.choices.map((choice) => (
          <label key={choice.key} className="flex items-center gap-2.5">
            <input
              type="radio"
              className={looks.radio}
              name={question.key}
              checked={(mine ?? question.chosen) === choice.key}
              onChange={() => {
                setMine(choice.key);
                choose.mutate(choice.key);
              }}
            />
            {choice.label}
          </label>
        ))}
      </div>
      {choose.isError && <Failed error={choose.error} />}
    </fieldset>
  );
}

/** A number within bounds; it holds when it is left or Enter is pressed. */
function Amount({
  question,
  busy,
  onChoose,
}: {
  question: SchoolQuestion;
  busy: boolean;
  onChoose: (amount: string) => void;
}) {
  const [typed, setTyped] = useState(question.chosen);
  const amount = question.amount!;
  const settle = () => {
    if (typed !== question.chosen && typed.trim() !== "") onChoose(typed.trim().replace(",", "."));
  };
  return (
    <label className="clear-both flex items-center gap-2.5">
      <input
        type="text"
        inputMode="decimal"
        className={`${looks.smallInput} w-20 text-right`}
        aria-label={question.question}
        value={typed}
        disabled={busy}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => event.key === "Enter" && settle()}
      />
      <span>{amount.unit}</span>
      <span className="small soft">
        {amount.low} to {amount.high}
      </span>
    </label>
  );
}
