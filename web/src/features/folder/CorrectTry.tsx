import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as newId } from "uuid";
import type { FolderTry, Outcome } from "../../api/types";
import { Button } from "../../ui/parts";
import { looks } from "../../ui/looks";
import { useToast } from "../../ui/toasts";
import { outbox } from "../hear/outbox";
import { outcomeWords } from "../hear/run";
import { awardsTouchedQuery } from "./folder.queries";

interface Props {
  attempt: FolderTry;
  /** What was tried and by whom, as the waiting marks name it. */
  label: string;
  onDone: () => void;
}

/** What came of a try is corrected by a later entry that says why; what was there stays to be seen. */
export function CorrectTry({ attempt, label, onDone }: Props) {
  const toast = useToast();
  // Points decide what came of a test; they are given again in a run.
  const offered: Outcome[] =
    attempt.points === undefined
      ? (["PASS", "NOT_YET", "ABSENT", "UNDONE"] as const).filter((outcome) => outcome !== attempt.outcome)
      : ["UNDONE"];
  const [outcome, setOutcome] = useState<Outcome>(offered[0]!);
  const [reason, setReason] = useState("");
  const [missing, setMissing] = useState(false);
  const takesBack = attempt.outcome === "PASS" && outcome !== "PASS";
  const awards = useQuery({ ...awardsTouchedQuery(attempt.id), enabled: takesBack });
  const touched = takesBack ? (awards.data ?? []) : [];
  const correct = () => {
    if (reason.trim() === "") return setMissing(true);
    const id = newId();
    outbox.add({
      id,
      kind: "correction",
      label: `${label}, corrected`,
      attemptId: attempt.id,
      correction: { id, outcome, reason: reason.trim() },
    });
    toast("Corrected; what was there stays to be seen");
    onDone();
  };
  return (
    <form
      className="my-1 flex flex-wrap items-center gap-2"
      aria-label="Correct this try"
      onSubmit={(event) => {
        event.preventDefault();
        correct();
      }}
    >
      <label className="flex items-center gap-1.5">
        it was
        <select
          autoFocus
          className="hairline bg-base-100 text-base-content rounded-md border-[1.5px] px-1.5 py-1"
          value={outcome}
          onChange={(event) => setOutcome(event.target.value as Outcome)}
        >
          {offered.map((one) => (
            <option key={one} value={one}>
              {one === "UNDONE" ? "not heard at all" : outcomeWords[one]}
            </option>
          ))}
        </select>
      </label>
      <label className="flex grow items-center gap-1.5">
        because
        <input
          maxLength={300}
          value={reason}
          aria-invalid={missing}
          className={`${looks.input} min-w-40 grow`}
          onChange={(event) => setReason(event.target.value)}
          onKeyDown={(event) => event.key === "Escape" && onDone()}
        />
      </label>
      <Button small look="primary" type="submit">
        {touched.length === 0
          ? "Correct"
          : `Correct, and take ${touched.map((award) => award.belt).join(", ")} back`}
      </Button>
      <Button small look="quiet" onClick={onDone}>
        Leave it
      </Button>
      {takesBack && awards.isError && (
        <span className="small">Which belts rest on it is not known just now.</span>
      )}
      {touched.length > 0 && (
        <p role="status" className="w-full">
          {touched
            .map((award) => `${award.belt}${award.handed ? ", handed over already," : ""}`)
            .join(" and ")}{" "}
          would no longer be earned.
        </p>
      )}
      {missing && reason.trim() === "" && <span role="alert">Say why: a correction keeps its reason.</span>}
    </form>
  );
}
