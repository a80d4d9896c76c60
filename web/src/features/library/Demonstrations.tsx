import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { FileText, X } from "lucide-react";
import { useRef } from "react";
import { postForm, remove } from "../../api/http";
import type { Demonstration } from "../../api/types";
import { Button, Failed } from "../../ui/parts";
import { demonstrationsQuery } from "./checks.queries";

/** Sounds, pictures, clips and hand-outs of the director's own; played as often as one likes. */
export function Demonstrations({ milestoneId, director }: { milestoneId: string; director: boolean }) {
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const attached = useQuery(demonstrationsQuery(milestoneId));
  const again = () => client.invalidateQueries({ queryKey: ["library", "demonstrations", milestoneId] });
  const add = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData();
      form.append("file", file);
      return postForm<Demonstration>(`/api/checks/${milestoneId}/demonstrations`, form);
    },
    onSuccess: again,
  });
  const away = useMutation({
    mutationFn: (id: string) => remove(`/api/demonstrations/${id}`),
    onSuccess: again,
  });
  if (!attached.data || (attached.data.length === 0 && !director)) return null;
  return (
    <section aria-label="Demonstrations">
      <h2 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">Demonstrations</h2>
      <ul className="grid gap-2">
        {attached.data.map((one) => (
          <li key={one.id} className="flex items-center gap-3">
            <Shown one={one} />
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
        ))}
      </ul>
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

function Shown({ one }: { one: Demonstration }) {
  const address = `/api/demonstrations/${one.id}`;
  if (one.mediaType.startsWith("audio/"))
    return (
      <figure className="flex flex-wrap items-center gap-3">
        <audio controls preload="none" src={address} aria-label={one.name} className="h-9 w-64" />
        <figcaption>{one.name}</figcaption>
      </figure>
    );
  if (one.mediaType.startsWith("video/"))
    return (
      <video controls preload="none" src={address} aria-label={one.name} className="max-h-64 rounded-lg" />
    );
  if (one.mediaType.startsWith("image/"))
    return <img src={address} alt={one.name} loading="lazy" className="max-h-64 rounded-lg" />;
  return (
    <a href={address} download={one.name} className="flex items-center gap-2">
      <FileText size={18} aria-hidden /> {one.name}
    </a>
  );
}
