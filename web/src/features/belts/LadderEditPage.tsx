import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import type { LadderForm } from "../../api/types";
import { Button, Failed, Heading, Skeleton } from "../../ui/parts";
import { ladderToEditQuery } from "./belts.queries";
import { FromPages } from "./FromPages";
import { LadderEditor } from "./LadderEditor";
import { copyOf, emptyLadder } from "./ladderForm";

/** Making a ladder, from nothing, from another one or from a book's pages; or editing one. */
export function LadderEditPage() {
  const { ladderId = "" } = useParams();
  const [asked] = useSearchParams();
  const source = ladderId || (asked.get("copy") ?? "");
  const there = useQuery(ladderToEditQuery(source));
  if (source === "") return <NewLadder />;
  if (there.isError) return <Failed error={there.error} again={() => void there.refetch()} />;
  if (!there.data) return <Skeleton rows={10} />;
  return ladderId ? (
    <LadderEditor key={ladderId} ladderId={ladderId} version={there.data.version} begun={there.data.ladder} />
  ) : (
    <LadderEditor key="copy" version={0} begun={copyOf(there.data.ladder)} />
  );
}

function NewLadder() {
  const [begun, setBegun] = useState<LadderForm>();
  if (begun) return <LadderEditor version={0} begun={begun} />;
  return (
    <>
      <Heading title="New ladder" words="Whatever it begins with, everything in it can be changed." />
      <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
        <FromPages onDrawn={setBegun} />
        <section aria-label="From nothing" className="grid content-start gap-3">
          <h2 className="text-[1.2rem]">From nothing</h2>
          <p>One belt with three empty slots; the rest is yours.</p>
          <Button className="justify-self-start" onClick={() => setBegun(emptyLadder())}>
            Begin with an empty belt
          </Button>
        </section>
      </div>
    </>
  );
}
