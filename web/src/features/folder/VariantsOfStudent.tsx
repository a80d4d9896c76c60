import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { v7 as newId } from "uuid";
import { post } from "../../api/http";
import type { ReviewVariant, StudentVariant } from "../../api/types";
import { shortDay } from "../../app/days";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { studentVariantsQuery } from "./folder.queries";
import { looks } from "../../ui/looks";

/** Which variants a student uses and until when, and which were withdrawn. */
export function VariantsOfStudent({ studentId }: { studentId: string }) {
  const variants = useQuery(studentVariantsQuery(studentId));
  if (!variants.data || variants.data.length === 0) return null;
  return (
    <section aria-labelledby="variants" className="mb-6">
      <h2 id="variants" className="mb-1 text-lg">
        Variants
      </h2>
      <ul>
        {variants.data.map((variant) => (
          <One key={variant.id} variant={variant} />
        ))}
      </ul>
    </section>
  );
}

function One({ variant }: { variant: StudentVariant }) {
  const client = useQueryClient();
  const toast = useToast();
  const [id] = useState(() => newId());
  const [note, setNote] = useState("");
  const review = useMutation({
    mutationFn: (keepWeeks: number | undefined) =>
      post<void>(at("/api/variants/{variantId}/review", { variantId: variant.id }), {
        id,
        keepWeeks,
        note: note.trim() || undefined,
      } satisfies ReviewVariant),
    onSuccess: async (_, keepWeeks) => {
      toast(keepWeeks ? `Kept, looked at again in ${keepWeeks} weeks` : `${variant.name} withdrawn`);
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  const inUse = variant.reviewOn !== undefined;
  return (
    <li
      className={clsx(
        "border-b border-[var(--hairline)] py-1.5",
        variant.overdue && "border-l-[3.5px] border-l-[var(--now)] pl-3",
      )}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5">
        <span className={inUse ? "" : "soft"}>
          <b>{variant.name}</b> <span className="soft">{variant.checkTitle}</span>
        </span>
        <span className={clsx("small", variant.overdue ? "font-semibold" : "soft")}>
          since {shortDay(variant.givenOn)}
          {variant.reviewOn &&
            `, ${variant.overdue ? "review overdue since" : "look again by"} ${shortDay(variant.reviewOn)}`}
          {variant.withdrawnOn && `, withdrawn ${shortDay(variant.withdrawnOn)}`}
          {variant.lastNote && `: ${variant.lastNote}`}
        </span>
        {inUse && (
          <span className="ml-auto flex flex-wrap items-center gap-2">
            <input
              aria-label={`Note on ${variant.name}`}
              placeholder="what you saw"
              maxLength={300}
              value={note}
              onChange={(event) => setNote(event.target.value)}
              className={`${looks.smallInput} w-44`}
            />
            {[2, 6].map((weeks) => (
              <Button key={weeks} small disabled={review.isPending} onClick={() => review.mutate(weeks)}>
                Keep {weeks} weeks
              </Button>
            ))}
            <Button small disabled={review.isPending} onClick={() => review.mutate(undefined)}>
              Withdraw
            </Button>
          </span>
        )}
      </div>
      {review.isError && <Failed error={review.error} />}
    </li>
  );
}
