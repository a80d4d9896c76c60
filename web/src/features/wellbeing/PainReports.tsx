import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post } from "../../api/http";
import type { PainReport } from "../../api/types";
import { weekday } from "../../app/days";
import { Field } from "../../ui/Field";
import { Button, Failed } from "../../ui/parts";
import { painQuery } from "./pain.queries";

/** What a student reported, and what was done about it. Seen by staff only. */
export function PainReports({ studentId }: { studentId: string }) {
  const reports = useQuery(painQuery(studentId));
  if (!reports.data || reports.data.length === 0) return null;
  return (
    <section aria-labelledby="pain-reports" className="mb-6 border-l-[3.5px] border-[var(--now)] pl-4">
      <h2 id="pain-reports" className="mb-1 text-lg">
        Pain reported
      </h2>
      <p className="small soft mb-1">For staff only. As it was said; nothing here is a diagnosis.</p>
      <ul>
        {reports.data.map((report) => (
          <Report key={report.id} report={report} />
        ))}
      </ul>
    </section>
  );
}

function Report({ report }: { report: PainReport }) {
  const client = useQueryClient();
  const [note, setNote] = useState("");
  const followUp = useMutation({
    mutationFn: () =>
      post<void>(at("/api/pain-reports/{reportId}/follow-up", { reportId: report.id }), {
        note: note.trim(),
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: ["progress"] }),
  });
  return (
    <li className="py-1.5">
      <b>{report.place}</b>, {report.instrumentName.toLowerCase()}, {weekday(report.reportedOn)}
      <span className="small soft"> told to {report.reportedBy}</span>
      {report.followUp ? (
        <span className="block">
          {report.followUp} <span className="small soft">followed up by {report.followedUpBy}</span>
        </span>
      ) : (
        <form
          className="mt-1.5 flex max-w-2xl flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (note.trim()) followUp.mutate();
          }}
        >
          <div className="min-w-60 grow">
            <Field
              label="What was done"
              maxLength={1000}
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </div>
          <Button type="submit" disabled={!note.trim() || followUp.isPending}>
            Followed up
          </Button>
        </form>
      )}
      {followUp.isError && <Failed error={followUp.error} />}
    </li>
  );
}
