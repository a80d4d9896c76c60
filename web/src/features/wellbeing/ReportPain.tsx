import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { post } from "../../api/http";
import type { NewPainReport, Player } from "../../api/types";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

const places = [
  "Fingertips",
  "Left hand",
  "Right hand",
  "Wrist",
  "Shoulder",
  "Neck",
  "Jaw",
  "Lips",
  "Back",
  "Somewhere else",
];

/** One tap where it hurts keeps a report for staff. It is never judged here. */
export function ReportPain({ player, onDone }: { player: Player; onDone: () => void }) {
  const client = useQueryClient();
  const toast = useToast();
  const [id] = useState(() => newId());
  const report = useMutation({
    mutationFn: (place: string) =>
      post<void>(at("/api/pain-reports"), {
        id,
        studentId: player.studentId,
        classId: player.classId,
        place,
      } satisfies NewPainReport),
    onSuccess: async () => {
      toast(`Kept: ${player.name} reported pain. It stays on the podium until it is followed up`);
      onDone();
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  return (
    <section
      aria-label={`Where does it hurt ${player.name}?`}
      className="mt-4 grid gap-3 rounded-[14px] border-2 border-[var(--now)] p-4"
    >
      <p className="display text-lg">Where does it hurt?</p>
      <p className="small">
        Stop playing. Tell a parent or guardian; if it stays, a doctor or therapist. A new string player's
        tender fingertips pass; tension in the hand does not count as that.
      </p>
      <div className="flex flex-wrap gap-2">
        {places.map((place) => (
          <Button key={place} disabled={report.isPending} onClick={() => report.mutate(place)}>
            {place}
          </Button>
        ))}
        <Button look="quiet" onClick={onDone}>
          Never mind
        </Button>
      </div>
      {report.isError && <Failed error={report.error} />}
    </section>
  );
}
