import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { useRef, useState } from "react";
import { postForm, remove } from "../../api/http";
import type { Demonstration } from "../../api/types";
import { DemonstrationFile } from "../../ui/DemonstrationFile";
import { Button, Failed } from "../../ui/parts";
import { demonstrationsQuery } from "./checks.queries";
import { looks } from "../../ui/looks";

type Shows = NonNullable<Demonstration["shows"]>;

const sides: Record<Shows, string> = { WRONG: "Wrong on purpose", RIGHT: "Right" };

/** Sounds, pictures, clips and hand-outs of the director's own; played as often as one likes. */
export function Demonstrations({ milestoneId, director }: { milestoneId: string; director: boolean }) {
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const attached = useQuery(demonstrationsQuery(milestoneId));
  const again = () => client.invalidateQueries({ queryKey: ["library", "demonstrations", milestoneId] });
  const [shows, setShows] = useState<Shows | "">("");
  const add = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData();
      form.append("file", file);
      return postForm<Demonstration>(
        at("/api/checks/{milestoneId}/demonstrations", { milestoneId }, { shows: shows || undefined }),
        form,
      );
    },
    onSuccess: again,
  });
  const away = useMutation({
    mutationFn: (id: string) => remove(at("/api/demonstrations/{demonstrationId}", { demonstrationId: id })),
    onSuccess: again,
  });
  const taken = (one: Demonstration) => (
    <li key={one.id} className="flex items-center gap-3">
      <DemonstrationFile one={one} />
      {director && (
        <button
          type="button"
          aria-label={`Take ${one.name} away`}
          className="soft p-1.5"
          onClick={() => away.mutate(one.id)}
        >
          <X size={17} aria-hidden />
        </button>
      )}
    </li>
  );
  if (!attached.data || (attached.data.length === 0 && !director)) return null;
  return (
    <section aria-label="Demonstrations">
      <h2 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">Demonstrations</h2>
      <ul className="grid gap-2">{attached.data.filter((one) => !one.shows).map(taken)}</ul>
      {attached.data.some((one) => one.shows) && (
        <div className="mt-2 grid gap-x-8 gap-y-3 sm:grid-cols-2">
          {(["WRONG", "RIGHT"] as const).map((side) => (
            <div key={side}>
              <h3 className="mb-1 font-sans text-[0.95rem] font-semibold tracking-normal">{sides[side]}</h3>
              <ul className="grid gap-2">{attached.data.filter((one) => one.shows === side).map(taken)}</ul>
            </div>
          ))}
        </div>
      )}
      {director && (
        <div className="no-print mt-2 flex flex-wrap items-center gap-3">
          <input
            ref={input}
            type="file"
            className="sr-only"
            tabIndex={-1}
            aria-label="File of a demonstration"
            accept="audio/*,image/png,image/jpeg,image/gif,image/webp,video/*,application/pdf"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) add.mutate(file);
              event.target.value = "";
            }}
          />
          <select
            aria-label="What it shows"
            className={`${looks.smallSelect} w-48`}
            value={shows}
            onChange={(event) => setShows(event.target.value as Shows | "")}
          >
            <option value="">by itself</option>
            {Object.entries(sides).map(([side, words]) => (
              <option key={side} value={side}>
                {words.toLowerCase()}
              </option>
            ))}
          </select>
          <Button small disabled={add.isPending} onClick={() => input.current?.click()}>
            {add.isPending ? "Attaching…" : "Attach a demonstration"}
          </Button>
          <span className="small soft">a sound, picture, short clip or PDF of your own, at most 10 MB</span>
        </div>
      )}
      {(add.isError || away.isError) && <Failed error={(add.error ?? away.error)!} />}
    </section>
  );
}
